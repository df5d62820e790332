<script setup lang="ts">
import { computed } from 'vue'
import { useShares } from './useShares'
import { useTakeStore } from '@/take/take'
import NumberField from '@/ui/NumberField.vue'

/** What a colour is planned to take of the page, by number: what an edge of the measure does by dragging. */
const props = defineProps<{ colorKey: string }>()
const take = useTakeStore()
const shares = useShares()

const cells = computed(() => take.evaluation?.measure ?? [])
const row = computed(() => cells.value.findIndex((one) => one.key === props.colorKey))
const cell = computed(() => cells.value[row.value])
/** Its neighbour, which gives or takes the difference. */
const isLast = computed(() => row.value === cells.value.length - 1)
const neighbour = computed(() => cells.value[row.value + (isLast.value ? -1 : 1)])

function set(wanted: number) {
  if (!cell.value) return
  const more = wanted / 100 - cell.value.share
  shares.shift(isLast.value ? row.value - 1 : row.value, isLast.value ? -more : more)
  shares.keep()
}
const percent = computed(() => Math.round((cell.value?.share ?? 0) * 100))
</script>

<template>
  <label v-if="cell?.roles.length && neighbour?.roles.length" class="mt-3 flex items-center gap-2">
    Share of the page
    <NumberField class="field value w-16!" :min="1" :max="100" :value="percent" @set="set" />
    <span class="text-quiet">%, {{ neighbour.role_names }} makes room</span>
  </label>
</template>
