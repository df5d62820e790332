<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Region, TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import PictureRegion from '@/source/PictureRegion.vue'
import { roleLabel } from '@/take/roles'
import { formatRatio } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

const props = defineProps<{ document: TakeDocument }>()
const shown = defineModel<boolean>({ required: true })
const brand = useBrandStore()
const take = useTakeStore()

const NONE = ''
const GRADIENT = 'gradient'
const text = ref('paper')
const layer = ref(NONE)
const backdrop = ref(GRADIENT)
const ends = ref({ from: 'primary', to: 'accent' })
const usage = ref<'body text' | 'large text'>('body text')
const region = shallowRef<Region | null>(null)
const roles = computed(() =>
  props.document.roles.map((one) => ({
    value: one.role,
    label: roleLabel(props.document.roles, one.role),
  })),
)
const layers = computed(() => [
  { value: NONE, label: 'No overlay' },
  ...props.document.overlays.map((one) => ({
    value: one.id,
    label: `${one.name}, ${Math.round(one.alpha * 100).toString()}%`,
  })),
])
const pictures = computed(() => (brand.detail?.sources ?? []).filter((one) => one.kind === 'image'))
const backdrops = computed(() => [
  ...pictures.value.map((one) => ({ value: one.id, label: one.name })),
  { value: GRADIENT, label: 'A gradient' },
])
const isPicture = computed(() => backdrop.value !== GRADIENT)
const USAGES = [
  { value: 'body text', label: 'Body text' },
  { value: 'large text', label: 'Large text' },
] as const

watch(shown, (isShown) => {
  if (!isShown) return
  backdrop.value = pictures.value[0]?.id ?? GRADIENT
  layer.value = props.document.overlays[0]?.id ?? NONE
})
const { answer: found, problem } = useFollowing(
  () => {
    if (!shown.value) return undefined
    const body = {
      document: props.document,
      text: text.value,
      layers: layer.value ? [layer.value] : [],
      usage: usage.value,
      size: null,
      weight: null,
    }
    const stops = [ends.value.from, ends.value.to]
    return { body, stops, source: isPicture.value ? backdrop.value : '', region: region.value }
  },
  ({ body, stops, source, region: part }, signal) =>
    source
      ? answerOf(
          api.POST('/api/sources/{source_id}/backdrop', {
            params: { path: { source_id: source } },
            body: { ...body, region: part, as_proved: false },
            signal,
          }),
        )
      : answerOf(api.POST('/api/gradient', { body: { ...body, stops }, signal })),
)

const opacity = computed(() => {
  if (!layer.value || !found.value) return ''
  const { least_opacity: least } = found.value
  return least === null
    ? 'Even at 100% this overlay isn’t enough; choose another colour.'
    : `Needs an overlay of at least ${least.toString()}%.`
})

function setOpacity() {
  const least = found.value?.least_opacity
  if (!take.document || least === null || least === undefined) return
  const overlays = take.document.overlays.map((one) =>
    one.id === layer.value ? { ...one, alpha: least / 100 } : one,
  )
  take.change({ ...take.document, overlays })
}
const percent = (value: number) => `${(value * 100).toString()}%`
</script>

<template>
  <SheetDialog
    v-model="shown"
    wide
    title="Text over a picture"
    description="The worst pixel under the text counts. Drag over the picture where the text will stand."
  >
    <div class="mt-3 grid grid-cols-2 gap-2">
      <ChoiceList v-model="text" label="Text" align="left" :options="roles" />
      <ChoiceList v-model="usage" label="Usage" :options="USAGES" />
      <ChoiceList v-model="layer" label="Layer" align="left" :options="layers" />
      <ChoiceList v-model="backdrop" label="Over" :options="backdrops" />
      <template v-if="!isPicture">
        <ChoiceList v-model="ends.from" label="Gradient from" align="left" :options="roles" />
        <ChoiceList v-model="ends.to" label="Gradient to" :options="roles" />
      </template>
    </div>
    <div v-if="isPicture" class="keeps-color relative mt-3 inline-block border border-ink">
      <img :src="`/api/sources/${backdrop}/preview`" alt="" class="block max-h-64 max-w-full" />
      <PictureRegion
        :region="region"
        label="Where the text goes: drag a rectangle, or press Enter and use the arrows, with Shift to resize; Delete takes the whole picture"
        @change="region = $event"
      />
      <span
        v-if="found"
        class="pointer-events-none absolute h-4 w-4 -translate-x-1/2 -translate-y-1/2 border-2 border-black outline-2 outline-white"
        :style="{ left: percent(found.x), top: percent(found.y) }"
        title="The worst place"
      ></span>
    </div>
    <p v-if="problem" role="alert" class="mt-3 font-semibold">{{ problem }}</p>
    <div v-else-if="found" class="mt-3" role="status">
      <dl class="rule-list" data-testid="backdrop">
        <div class="flex justify-between py-1">
          <dt>Worst pixel</dt>
          <dd>
            <b class="value">{{ formatRatio(found.worst) }}:1</b>
            {{ found.passes ? 'passes' : `short of ${found.needed.toString()}` }}
          </dd>
        </div>
        <div class="flex justify-between py-1">
          <dt>5% of the area is below</dt>
          <dd class="value">{{ formatRatio(found.low) }}:1</dd>
        </div>
        <div v-if="opacity" class="flex items-center justify-between gap-3 py-1">
          <dt>{{ opacity }}</dt>
          <dd>
            <button
              v-if="found.least_opacity !== null"
              type="button"
              class="button"
              @click="setOpacity"
            >
              Set it to {{ found.least_opacity }}%
            </button>
          </dd>
        </div>
      </dl>
    </div>
    <p v-if="!document.overlays.length" class="mt-3 text-quiet">Overlays are made in Roles.</p>
    <button type="button" class="button mt-4" @click="shown = false">Close</button>
  </SheetDialog>
</template>
