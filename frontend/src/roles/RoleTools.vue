<script setup lang="ts">
import { computed, ref } from 'vue'
import { explain } from '@/api/client'
import AddRoleMenu from './AddRoleMenu.vue'
import type { PairFigures, TakeChange, TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { useTakeStore } from '@/take/take'

const props = defineProps<{
  document: TakeDocument
  broken: readonly PairFigures[]
  make: (change: TakeChange) => Promise<void>
}>()
const take = useTakeStore()

const STEP_NAMES = [
  { value: 'words', label: 'Steps in words' },
  { value: 'numbers', label: 'Steps 50 to 950' },
] as const
const stepNames = computed({
  get: () => props.document.step_names,
  set: (value) => {
    if (take.document) take.change({ ...take.document, step_names: value })
  },
})
const warning = computed(() => {
  const names = props.broken.slice(0, 2).map((pair) => `${pair.text_name} on ${pair.ground_name}`)
  const more = props.broken.length > 2 ? ` and ${(props.broken.length - 2).toString()} more` : ''
  return names.length ? `This would make ${names.join(', ')}${more} fail` : ''
})

/** Why nothing was changed, where the version before could not be saved. */
const problem = ref('')
async function makeAfterVersion(change: TakeChange, why: string) {
  problem.value = ''
  try {
    await take.cutBefore(take.begin(), why)
  } catch (reason) {
    problem.value = explain(reason)
    return
  }
  await props.make(change)
}
const suggest = () => makeAfterVersion({ kind: 'suggest' }, 'Before roles were suggested')
/** The first night replaces nothing, so nothing needs to be kept. */
const makeNight = () =>
  props.document.other
    ? makeAfterVersion({ kind: 'night' }, 'Before the night was rebuilt')
    : props.make({ kind: 'night' })
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <p
      class="mr-auto min-w-50 flex-1 basis-50 truncate"
      :class="(problem || warning) && 'font-semibold'"
      role="status"
    >
      {{
        problem ||
        warning ||
        'Every colour’s tints and shades, lined up by contrast. Drag a role to another step.'
      }}
    </p>
    <ChoiceList v-model="stepNames" label="Names of steps" class="w-36" :options="STEP_NAMES" />
    <AddRoleMenu :document="document" :make="make" />
    <button
      v-if="!document.other || document.scheme === 'night'"
      type="button"
      class="button"
      :title="
        document.other
          ? 'Saves a version, then makes the night anew from the day: fills stay, texts are lifted'
          : undefined
      "
      @click="makeNight"
    >
      {{ document.other ? 'Rebuild night' : 'Make a night' }}
    </button>
    <button
      type="button"
      class="button"
      title="Saves a version, then suggests all roles again"
      @click="suggest"
    >
      Suggest roles
    </button>
  </div>
</template>
