<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { ProofFigures, ProofVocabulary } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import NumberField from '@/ui/NumberField.vue'
import { useChange } from '@/take/useChange'

/** All sizes at once: every step of the scale is the one before it times a ratio. */
const props = defineProps<{ proof: ProofFigures; vocabulary: ProofVocabulary }>()
const change = useChange()
const NONE = ''
const ratios = computed(() => [
  { value: NONE, label: 'By a ratio…' },
  ...props.vocabulary.scales.map((one) => ({
    value: one.ratio.toString(),
    label: `By ${one.ratio.toString()}`,
    note: one.name,
  })),
])
const text = computed(() => props.proof.styles.find((one) => one.style === 'text')?.size ?? 16)
const base = ref(text.value)
watch(text, (now) => (base.value = now))
function set(ratio: string) {
  if (ratio)
    void change.make({
      kind: 'type scale',
      base: base.value,
      ratio: Number(ratio),
      voice: props.proof.voice,
    })
}
</script>

<template>
  <div class="mt-3 flex items-center gap-2">
    <label class="flex items-center gap-1.5"
      >Scale from
      <NumberField
        class="field value w-15"
        :min="vocabulary.least_size"
        :max="vocabulary.largest_size"
        :digits="Number.isInteger(base) ? 0 : 1"
        :value="base"
        @set="base = $event"
      />
    </label>
    <ChoiceList
      class="min-w-0 flex-1"
      label="Ratio of the scale"
      :model-value="NONE"
      :options="ratios"
      @update:model-value="set"
    />
  </div>
</template>
