<script setup lang="ts">
import { computed, ref } from 'vue'
import type { Pair, PairFigures } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { colorChoices, roleLabel } from '@/take/roles'
import { USAGES } from './usages'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ pair: PairFigures }>()
const take = useTakeStore()
const changing = useChange()

/** CSS: 72 points are 96 pixels. */
const PIXELS = { px: 1, pt: 96 / 72 } as const
const UNITS = [
  { value: 'px', label: 'px' },
  { value: 'pt', label: 'pt' },
] as const
const unit = ref<'px' | 'pt'>('px')
const WEIGHTS = [
  { value: '', label: 'Default weight' },
  { value: '400', label: 'Regular, 400' },
  { value: '600', label: 'Semibold, 600' },
  { value: '700', label: 'Bold, 700' },
] as const
const size = computed(() =>
  props.pair.size === null ? null : props.pair.size / PIXELS[unit.value],
)
const isText = computed(() =>
  ['body text', 'large text', 'button label', 'link'].includes(props.pair.usage),
)
const ENDS = [
  { part: 'text', label: 'Text or element', align: 'left' },
  { part: 'ground', label: 'Ground', align: 'right' },
] as const
const colors = computed(() => {
  if (!take.document) return []
  const { roles } = take.document
  const own = [props.pair.text, props.pair.ground].map((key, place) => ({
    value: key,
    label: place ? props.pair.ground_name : props.pair.text_name,
  }))
  const offered = [
    ...roles.map((one) => ({ value: one.role, label: roleLabel(roles, one.role) })),
    ...colorChoices(take.document),
  ]
  return [...own.filter((one) => !offered.some(({ value }) => value === one.value)), ...offered]
})
const isAdded = computed(() => /^(added|state)-/.test(props.pair.id))

function change(changes: Partial<Pair>) {
  if (!take.document) return
  const pairs = take.document.pairs.map((one) =>
    one.id === props.pair.id ? { ...one, ...changes } : one,
  )
  take.change({ ...take.document, pairs })
}
const setSize = (size: number | null) => {
  change({ size: size === null ? null : size * PIXELS[unit.value] })
}
const remove = () => changing.make({ kind: 'remove pair', pair: props.pair.id })
</script>

<template>
  <details class="mt-3 border-t border-hair pt-2">
    <summary class="font-semibold">Usage and size</summary>
    <div class="mt-2 grid grid-cols-2 gap-2">
      <ChoiceList
        v-for="end in ENDS"
        :key="end.part"
        :label="end.label"
        :align="end.align"
        :model-value="pair[end.part]"
        :options="colors"
        @update:model-value="change({ [end.part]: $event })"
      />
    </div>
    <ChoiceList
      class="mt-2"
      label="Usage"
      align="left"
      :model-value="pair.usage"
      :options="USAGES"
      @update:model-value="change({ usage: $event })"
    />
    <div v-if="isText" class="mt-2 flex gap-2">
      <NumberField
        class="field value w-20"
        :min="1"
        :max="1000"
        :digits="1"
        is-optional
        placeholder="size"
        :value="size"
        :aria-label="`Size of the text in ${unit}`"
        @set="setSize"
        @clear="setSize(null)"
      />
      <ChoiceList v-model="unit" label="Unit" class="w-16" :options="UNITS" />
      <ChoiceList
        class="min-w-0 flex-1"
        label="Weight"
        :model-value="pair.weight?.toString() ?? ''"
        :options="WEIGHTS"
        @update:model-value="change({ weight: $event ? Number($event) : null })"
      />
    </div>
    <button v-if="isAdded" type="button" class="button mt-2" @click="remove">
      Remove the pair
    </button>
  </details>
</template>
