<script setup lang="ts">
import type { Source } from '@/api/types'
import { countOf } from '@/ui/format'

defineProps<{ source: Source }>()
</script>

<template>
  <div v-if="source.list" class="border border-ink bg-sheet px-4 py-3">
    <h2 dir="auto" class="text-title">{{ source.list.title ?? source.name }}</h2>
    <p class="text-quiet">
      {{ countOf(source.colors.length, 'colour', 'colours') }}, read as {{ source.list.format }}
    </p>
  </div>
</template>
