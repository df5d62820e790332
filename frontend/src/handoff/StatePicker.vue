<script setup lang="ts">
import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import ChoiceList from '@/ui/ChoiceList.vue'
import { formatDay } from '@/ui/format'
import { useFollowing } from '@/ui/useFollowing'
import { useBrandStore } from '@/take/brand'
import { NOW, type State } from './states'

/** A take as it is, or one of its versions. */
const state = defineModel<State>({ required: true })
defineProps<{ label: string }>()
const brand = useBrandStore()

const takes = computed(() =>
  (brand.detail?.takes ?? []).map((one) => ({ value: one.id, label: one.name })),
)
const { answer: found } = useFollowing(
  () => state.value.take || undefined,
  (take_id, signal) =>
    answerOf(api.GET('/api/takes/{take_id}/versions', { params: { path: { take_id } }, signal })),
)
const versions = computed(() => [
  { value: NOW, label: 'as it is now' },
  ...(found.value?.versions ?? []).map((one) => ({
    value: one.number.toString(),
    label: `version ${one.number.toString()}, ${one.description || formatDay(one.created_at)}`,
  })),
])
</script>

<template>
  <fieldset class="flex min-w-0 flex-wrap items-center gap-2">
    <legend class="sr-only">{{ label }}</legend>
    <span class="w-10 text-quiet" aria-hidden="true">{{ label }}</span>
    <ChoiceList
      :label="`${label}: take`"
      align="left"
      :model-value="state.take"
      :options="takes"
      @update:model-value="state = { take: $event, version: NOW }"
    />
    <ChoiceList
      :label="`${label}: version`"
      align="left"
      :model-value="state.version"
      :options="versions"
      @update:model-value="state = { ...state, version: $event }"
    />
  </fieldset>
</template>
