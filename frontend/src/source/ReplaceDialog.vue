<script setup lang="ts">
import { computed } from 'vue'
import type { BesideRow } from '@/api/types'
import type { useReplacing } from './useReplacing'
import NoticeBar from '@/ui/NoticeBar.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { roleLabels } from '@/take/roles'
import { formatDifference, formatShare } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import { rolesOfSwatch } from '@/take/swatches'

/** The old file beside the new one, colour by colour; what moves is chosen here. */
const props = defineProps<{ replacing: ReturnType<typeof useReplacing> }>()
const take = useTakeStore()
const found = computed(() => props.replacing.replaced.value)
const sides = computed(() => (found.value ? [found.value.before, found.value.after] : []))
const isBuilt = computed(() => props.replacing.swatches.value.size > 0)

function told(row: BesideRow): string {
  if (!row.after) return 'gone'
  if (!row.before) return 'new'
  if (row.before.hex === row.after.hex) return 'unchanged'
  return `changed by ${formatDifference(row.difference)}`
}
function rolesOf(row: BesideRow): string {
  const swatch = row.before && props.replacing.swatches.value.get(row.before.hex)
  if (!swatch || !take.document) return ''
  return (
    roleLabels(take.document?.roles ?? [], rolesOfSwatch(take.document, swatch.id)) || swatch.name
  )
}
const canMove = (row: BesideRow) =>
  props.replacing.isChanged(row) && row.before && props.replacing.swatches.value.has(row.before.hex)
</script>

<template>
  <SheetDialog
    :model-value="found !== undefined"
    wide
    title="The old file beside the new one"
    description="Choose which colours of this take change. They keep their roles, ramps and settings."
    @update:model-value="replacing.cancel()"
  >
    <template v-if="found">
      <div class="mt-3 grid grid-cols-2 gap-3">
        <figure v-for="(side, row) in sides" :key="side.id" class="min-w-0">
          <div class="flex h-24 items-center justify-center border border-hair bg-plate p-2">
            <img
              v-if="side.has_preview"
              :src="`/api/sources/${side.id}/preview`"
              alt=""
              class="keeps-color max-h-full max-w-full"
            />
            <span v-else class="text-[#595959]">{{ side.colors.length }} colours</span>
          </div>
          <figcaption class="mt-1 truncate" :title="side.name">
            <b class="font-semibold">{{ row ? 'Now' : 'Before' }}</b> {{ side.name }}
          </figcaption>
        </figure>
      </div>
      <table class="mt-3 w-full" data-testid="beside">
        <thead class="text-left text-small text-quiet">
          <tr>
            <th class="py-1 font-normal">Before</th>
            <th class="py-1 font-normal">Now</th>
            <th class="py-1 font-normal">What happened</th>
            <th class="py-1 font-normal">In this take</th>
          </tr>
        </thead>
        <tbody>
          <tr v-for="(row, place) in found.rows" :key="place" class="border-t border-hair">
            <td v-for="(color, side) in [row.before, row.after]" :key="side" class="py-1 pr-2">
              <span v-if="color" class="flex items-center gap-2">
                <span
                  class="keeps-color h-5 w-7 flex-none border border-hair"
                  :style="{ backgroundColor: color.hex }"
                ></span>
                <span class="value">{{ color.hex }}</span>
                <span v-if="color.share" class="text-small text-quiet">{{
                  formatShare(color.share)
                }}</span>
              </span>
              <span v-else class="text-quiet">–</span>
            </td>
            <td class="py-1 pr-2">{{ told(row) }}</td>
            <td class="py-1">
              <label v-if="canMove(row) && row.before" class="flex items-center gap-1.5">
                <input
                  type="checkbox"
                  class="accent-ink"
                  :checked="replacing.moving.value.has(row.before.hex)"
                  @change="row.before && replacing.toggle(row.before.hex)"
                />
                {{ rolesOf(row) }} moves
              </label>
              <span v-else class="text-quiet">{{ rolesOf(row) && `${rolesOf(row)} stays` }}</span>
            </td>
          </tr>
        </tbody>
      </table>
      <NoticeBar
        v-if="replacing.problem.value"
        class="mt-3"
        :text="replacing.problem.value"
        @dismiss="replacing.dismiss()"
      />
      <p class="mt-3 text-quiet">
        {{
          isBuilt
            ? 'Tonada saves a version first. You can restore the old file.'
            : 'No colour of this take came from the old file. Only the file is replaced.'
        }}
      </p>
      <div class="mt-3 flex gap-2">
        <button type="button" class="button-solid" @click="replacing.apply()">Replace it</button>
        <button type="button" class="button" @click="replacing.keepBoth()">Keep both</button>
        <button type="button" class="button ml-auto" @click="replacing.cancel()">Cancel</button>
      </div>
    </template>
  </SheetDialog>
</template>
