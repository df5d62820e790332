<script setup lang="ts">
import { computed, watch } from 'vue'
import type { Evaluation, HandoffVocabulary, Notation } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import CopyButton from '@/take/CopyButton.vue'
import { useCopy } from '@/ui/useCopy'
import { useNotations } from '@/take/useNotations'

/** Every colour in use with its value, as it is copied, and what a press makes of it. */
const props = defineProps<{ evaluation: Evaluation; vocabulary: HandoffVocabulary }>()
const { chosen, known, ask, show } = useNotations()
const { copyValue, isCopied } = useCopy()

watch(
  () => props.evaluation.measure.map((cell) => cell.hex),
  (hexes) => void ask(hexes),
  { immediate: true },
)
const NAMES: Readonly<Partial<Record<Notation, string>>> = {
  hex: '#2b3a8c',
  'hex upper': '#2B3A8C',
  digits: '2b3a8c',
  'digits upper': '2B3A8C',
  rgb: 'rgb(43 58 140)',
  decimals: '43, 58, 140',
  'per cent': 'rgb() in per cent',
  hsl: 'hsl()',
  hwb: 'hwb()',
  oklch: 'oklch()',
  lab: 'lab()',
}
const options = computed(() =>
  props.vocabulary.notations.map((value) => ({ value, label: NAMES[value] ?? value })),
)
const writtenAs = (hex: string) =>
  known.value.get(hex)?.written.find((one) => one.notation === chosen.value)?.text ?? hex
const printed = (hex: string) => known.value.get(hex)?.printed
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
    <span>Click any colour value to copy it as</span>
    <ChoiceList v-model="chosen" class="w-48" label="Notation" align="left" :options="options" />
  </div>
  <table class="mt-3 w-full border border-ink bg-sheet" data-testid="values">
    <thead class="text-left text-small text-quiet">
      <tr>
        <td class="w-14 max-[640px]:w-9"></td>
        <th scope="col" class="px-2 py-1 font-normal">Role</th>
        <th scope="col" class="px-2 font-normal">Value</th>
        <th scope="col" class="px-2 font-normal">
          {{ vocabulary.press ? `CMYK, ${vocabulary.press}` : 'CMYK needs a press profile' }}
        </th>
        <td></td>
      </tr>
    </thead>
    <tbody>
      <tr v-for="cell in evaluation.measure" :key="cell.key" class="border-t border-hair">
        <td class="p-1">
          <span class="keeps-color block h-7" :style="{ backgroundColor: cell.hex }"></span>
        </td>
        <th scope="row" dir="auto" class="max-w-52 px-2 text-left font-semibold wrap-break-word">
          {{ cell.role_names || cell.name }}
        </th>
        <td class="px-2">
          <CopyButton
            :value="cell.hex"
            :what="cell.role_names || cell.name"
            :shown="writtenAs(cell.hex)"
          />
        </td>
        <td class="px-2">
          <button
            v-if="printed(cell.hex)"
            type="button"
            class="value hover:underline"
            :aria-label="`Copy CMYK of ${cell.role_names || cell.name}, ${printed(cell.hex)?.text ?? ''}`"
            @click="copyValue(printed(cell.hex)?.text ?? '')"
          >
            {{ printed(cell.hex)?.text }}
          </button>
          <span v-if="printed(cell.hex)?.in_gamut === false" class="ml-2">
            <span
              class="keeps-color mr-1 inline-block h-3 w-5 border border-hair align-middle"
              :style="{ backgroundColor: printed(cell.hex)?.hex }"
            ></span
            >out of gamut, prints like this</span
          >
          <span v-if="isCopied(printed(cell.hex)?.text ?? ' ')" class="ml-2 text-quiet"
            >copied</span
          >
        </td>
        <td class="pr-2 text-right">
          <button
            type="button"
            class="underline underline-offset-2"
            :aria-label="`All notations of ${cell.role_names || cell.name}`"
            @click="show(cell.hex)"
          >
            All
          </button>
        </td>
      </tr>
    </tbody>
  </table>
</template>
