<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation, TakeDocument } from '@/api/types'
import { useChange } from '@/take/useChange'

const props = defineProps<{ document: TakeDocument; evaluation: Evaluation }>()
const change = useChange()

const hexOf = (role: string) =>
  props.evaluation.measure.find((cell) => cell.roles.includes(role))?.hex ?? 'transparent'
const parts = computed(() => [
  { name: 'grounds', share: props.evaluation.plan.grounds, hex: hexOf('paper') },
  { name: 'brand and text', share: props.evaluation.plan.brand, hex: hexOf('primary') },
  { name: 'call to action', share: props.evaluation.plan.call, hex: hexOf('accent') },
])
const figures = computed(() =>
  parts.value.map(({ share }) => Math.round(share * 100).toString()).join(' / '),
)
const isOwn = computed(() => props.document.roles.some((one) => one.share !== null))

const forget = () => change.make({ kind: 'shares', shares: [] })
</script>

<template>
  <section aria-label="Plan of the page" class="flex items-center gap-3">
    <span class="text-quiet">Share of the page</span>
    <div class="keeps-color flex h-6 flex-1 border border-ink" aria-hidden="true">
      <span
        v-for="part in parts"
        :key="part.name"
        class="border-r border-ink last:border-r-0"
        :style="{ flexGrow: part.share, flexBasis: 0, backgroundColor: part.hex }"
        :title="part.name"
      ></span>
    </div>
    <span class="value" data-testid="plan"
      ><span class="sr-only">Grounds, brand and text, call to action: </span>{{ figures }}</span
    >
    <button v-if="isOwn" type="button" class="button" @click="forget">Back to 60 / 30 / 10</button>
  </section>
  <p v-for="advice in evaluation.plan.advice" :key="advice" role="status" class="font-semibold">
    {{ advice }}
  </p>
</template>
