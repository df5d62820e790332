<script setup lang="ts">
import type { Source } from '@/api/types'

defineProps<{ source: Source }>()
</script>

<template>
  <div v-if="source.mood" class="border border-ink bg-sheet px-4 py-3">
    <h2 class="text-title first-letter:uppercase">
      {{ source.mood.words.join(', ')
      }}<template v-if="source.mood.field"
        ><span class="font-normal text-quiet"> in {{ source.mood.field }}</span></template
      >
    </h2>
    <p v-for="character in source.mood.characters" :key="character.name">
      <b class="font-semibold first-letter:uppercase">{{ character.name }}</b>
      <span class="text-quiet">: {{ character.says }}</span>
    </p>
    <h3 class="mt-3 text-quiet">What people expect</h3>
    <p v-for="convention in source.mood.conventions" :key="convention">{{ convention }}</p>
    <template v-if="source.mood.differs.length">
      <h3 class="mt-3 text-quiet">Exceptions</h3>
      <p v-for="sentence in source.mood.differs" :key="sentence">{{ sentence }}</p>
    </template>
  </div>
</template>
