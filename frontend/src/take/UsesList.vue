<script setup lang="ts">
import { computed } from 'vue'
import { dependentsOf } from './dependents'
import { useTakeStore } from './take'

const props = defineProps<{ owner: string }>()
const take = useTakeStore()
const found = computed(() => take.document && dependentsOf(take.document, props.owner))
const lines = computed(() => {
  if (!found.value) return []
  const { roles, pairs, overlays, neutrals } = found.value
  return [
    ...roles,
    ...neutrals.map((name) => `Tint of ${name}`),
    ...overlays,
    ...(pairs ? [`${pairs.toString()} ${pairs === 1 ? 'pair' : 'pairs'} by day and night`] : []),
  ]
})
</script>

<template>
  <template v-if="lines.length">
    <h3 class="mt-4 text-quiet">Used by</h3>
    <ul class="rule-list mt-1" data-testid="uses">
      <li v-for="line in lines" :key="line" class="py-0.5">{{ line }}</li>
    </ul>
  </template>
</template>
