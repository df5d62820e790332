<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { formatRatio } from '@/ui/format'
import { figuresOf } from './parts'
import type { Part } from './parts'

const props = defineProps<{ parts: readonly Part[]; proof: ProofFigures; short: boolean }>()
const emit = defineEmits<{ choose: [name: string] }>()

const rows = computed(() =>
  props.parts
    .map((part) => ({ part, worn: figuresOf(part, props.proof) }))
    .filter(({ worn }) => !props.short || (worn && !worn.passes)),
)
</script>

<template>
  <ul class="rule-list" data-testid="parts">
    <li v-for="{ part, worn } in rows" :key="part.name">
      <button
        type="button"
        class="flex w-full items-center gap-2 py-1 text-left hover:bg-surround"
        @click="emit('choose', part.name)"
      >
        <span
          class="keeps-color h-4 w-4 flex-none border border-hair"
          :style="{ backgroundColor: worn?.hex }"
        ></span>
        <span class="min-w-0 flex-1 truncate">{{ part.name }}</span>
        <span v-if="worn && !worn.passes" class="font-semibold">short</span>
        <span class="value">{{ worn ? formatRatio(worn.ratio) : 'excepted' }}</span>
      </button>
    </li>
  </ul>
</template>
