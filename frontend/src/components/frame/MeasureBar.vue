<script setup lang="ts">
import { computed } from 'vue'
import CopyButton from '@/components/CopyButton.vue'
import { useSelection } from '@/composables/useSelection'
import { roleNames } from '@/format'
import { useTakeStore } from '@/stores/take'

const take = useTakeStore()
const { selected, select } = useSelection('swatch')

/** A swatch as wide as the share of the page that its roles are planned to take. */
const cells = computed(() => {
  const figures = new Map(take.evaluation?.swatches.map((one) => [one.id, one]))
  return (take.shown?.swatches ?? []).map((swatch) => ({
    swatch,
    figures: figures.get(swatch.id),
  }))
})
const toggle = (id: string) => {
  select(selected.value === id ? undefined : id)
}
</script>

<template>
  <section
    aria-label="The measure: every swatch at the width of its share of the page"
    class="border-t border-ink bg-sheet"
  >
    <ul v-if="cells.length" class="flex h-29.5 overflow-x-auto" data-testid="measure">
      <li
        v-for="{ swatch, figures } in cells"
        :key="swatch.id"
        class="relative flex min-w-22 flex-col border-r border-ink last:border-r-0"
        :class="selected === swatch.id && 'bg-ink text-sheet'"
        :style="{ flexGrow: Math.round((figures?.share ?? 0.05) * 1000), flexBasis: 0 }"
      >
        <button
          type="button"
          class="keeps-color min-h-0 flex-1 -outline-offset-4"
          :style="{ backgroundColor: swatch.hex }"
          :aria-pressed="selected === swatch.id"
          :aria-label="`${roleNames(figures?.roles ?? []) || 'No role'}: ${swatch.name}, ${swatch.hex}${swatch.held ? ', held' : ''}`"
          @click="toggle(swatch.id)"
        ></button>
        <span
          v-if="swatch.held"
          class="pointer-events-none absolute top-1.5 right-1.5 bg-sheet px-1.5 text-[11px] leading-5 text-ink"
          aria-hidden="true"
          >held</span
        >
        <div class="border-t border-ink px-2 pt-1 pb-2">
          <p class="truncate font-semibold" :title="roleNames(figures?.roles ?? [])">
            {{ roleNames(figures?.roles ?? []) || swatch.name }}
          </p>
          <CopyButton :value="swatch.hex" :what="swatch.name" class="text-small" />
        </div>
      </li>
    </ul>
    <p v-else class="flex h-29.5 items-center px-4 text-quiet">
      The palette will stand here, each colour as wide as its share of the page.
    </p>
  </section>
</template>
