<script setup lang="ts">
import { useSight } from '@/take/useSight'
import { formatDifference } from '@/ui/format'
import { useTakeStore } from '@/take/take'

const { sight, seen } = useSight()
const take = useTakeStore()

function mend(swatch: string, hex: string) {
  if (!take.document) return
  const note = `moved so that ${sight.value} eyes tell it apart`
  const origin = { kind: 'mended', note, source: null, share: null } as const
  const swatches = take.document.swatches.map((one) =>
    one.id === swatch ? { ...one, hex, origin } : one,
  )
  take.change({ ...take.document, swatches })
}
</script>

<template>
  <section v-if="seen" class="mt-3 border border-ink bg-sheet p-3" data-testid="confusions">
    <h2 class="text-title">
      {{
        seen.confusions.length
          ? 'Some roles look alike in this colour vision'
          : 'Roles with a meaning stay distinct in this colour vision'
      }}
    </h2>
    <p v-if="seen.confusions.length" class="text-quiet">
      They differ by less than {{ seen.told_apart }} (0 is identical). Add a word or a shape beside
      them.
    </p>
    <ul class="rule-list mt-2">
      <li
        v-for="one in seen.confusions"
        :key="one.one + one.other"
        class="flex items-center gap-3 py-1.5"
      >
        <span class="keeps-color flex flex-none border border-hair" aria-hidden="true">
          <span class="h-6 w-8" :style="{ backgroundColor: one.one_hex }"></span>
          <span class="h-6 w-8" :style="{ backgroundColor: one.other_hex }"></span>
        </span>
        <span class="min-w-0 flex-1 truncate">{{ one.one_name }} and {{ one.other_name }}</span>
        <span class="value">{{ formatDifference(one.difference) }}</span>
        <button
          v-if="one.mend"
          type="button"
          class="button"
          @click="mend(one.mend.swatch, one.mend.hex)"
        >
          Change the lightness
        </button>
        <span v-else class="text-quiet">No fix: both colours are held or on a ramp step</span>
      </li>
    </ul>
  </section>
</template>
