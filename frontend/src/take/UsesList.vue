<script setup lang="ts">
import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import { linesOf } from './dependents'
import { useTakeStore } from './take'
import { useFollowing } from '@/ui/useFollowing'

const props = defineProps<{ owner: string }>()
const take = useTakeStore()
const { answer } = useFollowing(
  () => (take.document ? { document: take.document, owner: props.owner } : undefined),
  async (body, signal) => ({
    of: body.owner,
    lines: linesOf(await answerOf(api.POST('/api/dependents', { body, signal }))),
  }),
  { isShared: true },
)
/** Nothing until it is of this colour: what uses the one before is not said of it. */
const lines = computed(() => (answer.value?.of === props.owner ? answer.value.lines : []))
</script>

<template>
  <template v-if="lines.length">
    <h3 class="mt-4 text-quiet">Used by</h3>
    <ul class="rule-list mt-1" data-testid="uses">
      <li v-for="line in lines" :key="line" class="py-0.5">{{ line }}</li>
    </ul>
  </template>
</template>
