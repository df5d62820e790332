<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation, ProofFigures, ProofVocabulary } from '@/api/types'
import { formatShare } from '@/ui/format'
import type { Painted } from './parts'
import { targetFrom } from '@/take/roles'
import { useTakeStore } from '@/take/take'

/**
 * What the page really paints, beside what was planned. A tint or shade counts with the role whose
 * swatch it is a step of, and Tint, which sections stand on, with the grounds.
 */
const props = defineProps<{
  painted: readonly Painted[]
  evaluation: Evaluation
  vocabulary: ProofVocabulary
  proof: ProofFigures
}>()
const take = useTakeStore()

const planned = computed(
  () =>
    new Map(
      props.evaluation.measure.flatMap((cell) => [
        [cell.key, cell] as const,
        ...cell.roles.map((role) => [role, cell] as const),
      ]),
    ),
)
const rows = computed(() => props.painted.filter((one) => one.share >= 0.002).slice(0, 9))
const lenderOf = (key: string) => {
  if (props.proof.grounds.some((one) => one.id === 'tint' && one.key === key)) return 'mist'
  const { swatch } = targetFrom(key)
  return take.shown?.roles.find((one) => one.swatch === swatch && one.step === null)?.role ?? key
}
const groups = computed(() => {
  const sums = { ground: 0, call: 0, brand: 0 }
  for (const one of props.painted) {
    const roles = planned.value.get(one.key)?.roles ?? [lenderOf(one.key)]
    if (roles.some((role) => props.vocabulary.ground_roles.includes(role))) sums.ground += one.share
    else if (roles.some((role) => props.vocabulary.call_roles.includes(role)))
      sums.call += one.share
    else sums.brand += one.share
  }
  const { plan } = props.evaluation
  return [
    { name: 'Grounds', painted: sums.ground, planned: plan.grounds },
    { name: 'Brand and text', painted: sums.brand, planned: plan.brand },
    { name: 'Call to action', painted: sums.call, planned: plan.call },
  ]
})
const shareOf = (key: string) => {
  const cell = planned.value.get(key)
  return cell ? formatShare(cell.share) : ''
}
</script>

<template>
  <table class="mt-4 w-full" data-testid="painted">
    <caption class="text-left text-quiet">
      Share of this page: actual, then planned
    </caption>
    <tbody>
      <tr v-for="one in groups" :key="one.name" class="border-b border-hair font-semibold">
        <th scope="row" class="py-0.5 text-left">{{ one.name }}</th>
        <td class="value text-right">{{ painted.length ? formatShare(one.painted) : '…' }}</td>
        <td class="value w-16 text-right">{{ formatShare(one.planned) }}</td>
      </tr>
      <tr v-for="one in rows" :key="one.key" class="border-b border-hair">
        <th scope="row" class="flex items-center gap-2 py-0.5 text-left font-normal">
          <span
            class="keeps-color h-4 w-4 flex-none border border-hair"
            :style="{ backgroundColor: one.hex }"
          ></span
          ><span class="truncate">{{ one.name }}</span>
        </th>
        <td class="value text-right">{{ formatShare(one.share) }}</td>
        <td class="value text-right text-quiet">{{ shareOf(one.key) }}</td>
      </tr>
    </tbody>
  </table>
</template>
