<script setup lang="ts">
import { computed } from 'vue'
import MeasureCell from './MeasureCell.vue'
import MeasureEdge from './MeasureEdge.vue'
import { useColorDrag } from '@/page/useColorDrag'
import { useSelection } from '@/take/useSelection'
import { useShares } from '@/panel/useShares'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

const take = useTakeStore()
const { selected, select } = useSelection('swatch')
const drag = useColorDrag()
const shares = useShares()
const change = useChange()

/** A colour as wide as the share of the page that its roles are planned to take. */
const cells = computed(() => take.evaluation?.measure ?? [])
/** By keyboard; the focus goes along, since it stands on the cell with its colour. */
function swap(row: number, by: -1 | 1) {
  const [role, other] = [cells.value[row]?.roles[0], cells.value[row + by]?.roles[0]]
  if (role && other) void change.make({ kind: 'swap', role, other })
}
const toggle = (key: string) => {
  select(selected.value === key ? undefined : key)
}
</script>

<template>
  <section
    aria-label="The measure: every colour at the width of its share of the page"
    class="border-t border-ink bg-sheet"
  >
    <ul v-if="cells.length" class="flex h-29.5 overflow-x-auto" data-testid="measure">
      <MeasureCell
        v-for="(cell, row) in cells"
        :key="cell.key"
        :cell="cell"
        :selected="selected === cell.key"
        @toggle="toggle(cell.key)"
        @grab="drag.grab({ swatch: cell.swatch, step: cell.step }, cell.hex, $event, cell.roles[0])"
        @swap="swap(row, $event)"
      >
        <MeasureEdge
          v-if="cells[row + 1]?.roles.length"
          :left="cell"
          :right="cells[row + 1]!"
          @shift="shares.shift(row, $event)"
          @keep="shares.keep"
          @drop="shares.drop"
        />
      </MeasureCell>
    </ul>
    <p v-else class="flex h-29.5 items-center px-4 text-quiet">
      <template v-if="take.isEmpty"
        >Your palette appears here. Each colour is as wide as its planned share of the
        page.</template
      >
    </p>
  </section>
</template>
