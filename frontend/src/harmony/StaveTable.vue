<script setup lang="ts">
import { computed } from 'vue'
import type { Evaluation, TakeDocument } from '@/api/types'
import { formatFixed, formatRatio } from '@/ui/format'

/** What the stave draws, in figures. */
const props = defineProps<{ document: TakeDocument; evaluation: Evaluation }>()

const rows = computed(() =>
  props.evaluation.swatches.flatMap((figures) => {
    const swatch = props.document.swatches.find((one) => one.id === figures.id)
    return swatch ? [{ figures, swatch, name: figures.role_names || swatch.name }] : []
  }),
)
</script>

<template>
  <div class="max-h-60 flex-none overflow-auto border border-ink bg-sheet" tabindex="0">
    <table class="w-full text-left" data-testid="stave-table">
      <caption class="sr-only">
        The notes of the stave
      </caption>
      <thead>
        <tr class="border-b border-ink">
          <th scope="col" class="px-2 py-1">Note</th>
          <th scope="col" class="px-2 py-1">Value</th>
          <th scope="col" class="px-2 py-1">Hue</th>
          <th scope="col" class="px-2 py-1">Chroma</th>
          <th scope="col" class="px-2 py-1">On {{ evaluation.stave.ground_name }}</th>
          <th scope="col" class="px-2 py-1">Enough for</th>
        </tr>
      </thead>
      <tbody>
        <tr v-for="{ figures, swatch, name } in rows" :key="swatch.id" class="border-b border-hair">
          <th scope="row" class="px-2 py-1 font-semibold">
            <bdi>{{ name }}</bdi><span v-if="swatch.held" class="text-quiet">, held</span>
          </th>
          <td class="value px-2 py-1 whitespace-nowrap">
            <span
              class="keeps-color mr-1.5 inline-block h-3.5 w-3.5 border border-hair align-[-2px]"
              :style="{ backgroundColor: swatch.hex }"
            ></span
            >{{ swatch.hex }}
          </td>
          <td class="px-2 py-1">
            {{ figures.term
            }}<template v-if="!figures.is_neutral">, {{ Math.round(figures.hue) }}°</template>
          </td>
          <td class="value px-2 py-1">{{ formatFixed(figures.chroma, 2) }}</td>
          <td class="value px-2 py-1 whitespace-nowrap">{{ formatRatio(figures.on_ground) }}:1</td>
          <td class="px-2 py-1">{{ figures.reaches }}</td>
        </tr>
      </tbody>
    </table>
  </div>
</template>
