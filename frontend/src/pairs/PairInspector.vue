<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { computed, nextTick, ref, useTemplateRef, watch } from 'vue'
import MendCard from './MendCard.vue'
import PairSettings from './PairSettings.vue'
import type { PairFigures } from '@/api/types'
import CopyButton from '@/take/CopyButton.vue'
import { useMends } from './useMends'
import { formatNeeded, formatRatio } from '@/ui/format'
import { verdictText } from '@/take/verdict'
import { targetFrom, targetOf } from '@/take/roles'
import { useTakeStore } from '@/take/take'
import { usePagePreview } from '@/page/usePagePreview'

/** enters: what there is to do has the focus, as soon as it is known. */
const props = defineProps<{ pair: PairFigures; enters: boolean }>()
const emit = defineEmits<{ entered: []; leave: [] }>()
const take = useTakeStore()
const { previewing } = usePagePreview()
const isFine = computed(() => props.pair.outcome !== 'fails')
/** The hue is kept unless the designer lets go of it. */
const free = ref(false)
const { mends, best, problem } = useMends(
  () => take.document,
  () => (isFine.value ? undefined : props.pair.id),
  () => (free.value ? 'free' : 'hue'),
)
const chosen = ref(0)
watch(mends, () => (chosen.value = 0))

const held = computed(() =>
  [
    { key: props.pair.text, name: props.pair.text_name },
    { key: props.pair.ground, name: props.pair.ground_name },
  ].filter(({ key }) => {
    const target = take.document && (targetOf(take.document, key) ?? targetFrom(key))
    return (
      target?.step === null &&
      take.document?.swatches.find((swatch) => swatch.id === target.swatch)?.held
    )
  }),
)
const colors = computed(() => [
  { part: 'Text', name: props.pair.text_name, hex: props.pair.text_hex },
  { part: 'Ground', name: props.pair.ground_name, hex: props.pair.ground_hex },
])

/** Where no colour at all would do in one of the two places, that is said with the best there is. */
const unreachable = computed(() => {
  if (!best.value) return ''
  const { best_text: text, best_ground: ground } = best.value
  const { needed, text_name, ground_name } = props.pair
  if (text >= needed && ground >= needed) return ''
  const [stuck, most, other] =
    text < needed ? [ground_name, text, ground] : [text_name, ground, text]
  const helps = other >= needed ? ` Moving ${stuck} itself helps.` : ''
  return `No colour reaches ${needed.toString()} with ${stuck}: ${formatRatio(most)} at best.${helps}`
})

function apply() {
  const mend = mends.value?.[chosen.value]
  if (!mend) return
  take.change(mend.document)
  emit('leave')
}

const heading = useTemplateRef<HTMLElement>('heading')
const ways = useTemplateRef<HTMLElement>('ways')
watch(
  () => props.enters && (isFine.value || mends.value !== undefined || problem.value !== ''),
  async (enters) => {
    if (!enters) return
    emit('entered')
    await nextTick()
    const first = ways.value?.querySelector<HTMLElement>('[role="radio"][tabindex="0"]')
    ;(first ?? heading.value)?.focus()
  },
  { immediate: true },
)
</script>

<template>
  <section
    :aria-label="`${pair.text_name} on ${pair.ground_name}`"
    @keydown.esc.prevent="emit('leave')"
  >
    <h2 ref="heading" tabindex="-1" class="text-title leading-tight">
      <bdi>{{ pair.text_name }}</bdi> on <bdi>{{ pair.ground_name }}</bdi>
    </h2>
    <p class="text-quiet">
      {{ pair.usage.charAt(0).toUpperCase() + pair.usage.slice(1)
      }}<template v-if="pair.outcome === 'exempt'">: no requirement</template
      ><template v-else-if="pair.is_asked"
        >, needs {{ formatNeeded(pair.needed) }} by {{ pair.criterion }}</template
      ><template v-else>: no requirement at level A</template>
    </p>
    <dl class="rule-list mt-2">
      <div v-for="color in colors" :key="color.part" class="flex items-center gap-2 py-1">
        <dt class="w-16">{{ color.part }}</dt>
        <dd class="flex flex-1 items-center gap-2">
          <span
            class="keeps-color h-4 w-4 border border-hair"
            :style="{ backgroundColor: color.hex }"
          ></span>
          <bdi class="min-w-0 flex-1 wrap-break-word">{{ color.name }}</bdi>
          <CopyButton :value="color.hex" />
        </dd>
      </div>
      <div class="flex py-1">
        <dt class="w-16">Contrast</dt>
        <dd class="flex flex-1 justify-between">
          <b class="value">{{ formatRatio(pair.ratio) }}:1</b>
          <span class="font-semibold">{{ verdictText(pair) }}</span>
        </dd>
      </div>
    </dl>
    <p v-if="pair.by_ground" class="mt-2">
      This pair comes from a ground in Proof.
      <RouterLink :to="{ name: 'proof' }" class="underline underline-offset-2"
        >Open in Proof</RouterLink
      >
    </p>
    <PairSettings v-else :pair="pair" />
    <template v-if="!isFine">
      <p v-if="unreachable" class="mt-2 font-semibold">{{ unreachable }}</p>
      <p v-if="held.length" class="mt-2 text-small text-quiet">
        {{ held.map(({ name }) => name).join(' and ') }} {{ held.length > 1 ? 'are' : 'is' }} held
        and won’t move.
      </p>
      <p v-if="problem" role="alert" class="mt-3 font-semibold">{{ problem }}</p>
      <p v-else-if="!mends" class="mt-3 text-quiet">Looking for the least visible change…</p>
      <p v-else-if="!mends.length" class="mt-3">
        No colour in this palette passes here, and what could change is held. Release one of the two
        colours to mend this pair.
      </p>
      <template v-else>
        <div class="mt-3 flex items-center gap-2">
          <h3 class="flex-1 text-quiet">Ways to mend, least visible first</h3>
          <label class="flex items-center gap-1.5" title="Lets the hue change, too"
            ><input v-model="free" type="checkbox" class="accent-ink" /> any hue</label
          >
        </div>
        <div ref="ways">
          <RadioGroup v-model="chosen" aria-label="Ways to mend" data-testid="mends">
            <RadioGroupOption
              v-for="(mend, row) in mends"
              :key="row"
              v-slot="{ checked, active }"
              :value="row"
              class="mt-2 cursor-pointer outline-none"
              v-on="previewing(() => mend.document, 'inspector')"
            >
              <MendCard :mend="mend" :pair="pair" :checked="checked" :active="active" />
            </RadioGroupOption>
          </RadioGroup>
        </div>
        <button
          type="button"
          class="button-solid mt-3"
          v-on="previewing(() => mends?.[chosen]?.document, 'inspector')"
          @click="apply"
        >
          Apply
        </button>
      </template>
    </template>
  </section>
</template>
