<script setup lang="ts">
import { Disclosure, DisclosureButton, DisclosurePanel } from '@headlessui/vue'
import { computed } from 'vue'
import type { Source } from '@/api/types'
import { countOf } from '@/ui/format'

/** What wasn’t understood in a file, was brought into sRGB, assumed, or left out: beside its colours. */
const props = defineProps<{ notes: Source['notes'] }>()
type Kind = Source['notes'][number]['kind']
const count = (...kinds: Kind[]) =>
  props.notes.reduce((all, note) => all + (kinds.includes(note.kind) ? note.times : 0), 0)
const unknown = computed(() => count('not understood'))
const leftOut = computed(() => count('left out'))
const said = computed(() => {
  const others = count('mapped', 'assumed')
  return [
    ...(unknown.value ? [`${countOf(unknown.value, 'thing', 'things')} not understood`] : []),
    ...(others ? [`${others.toString()} changed or assumed`] : []),
    ...(leftOut.value ? [`${leftOut.value.toString()} left out`] : []),
  ].join(', ')
})
</script>

<template>
  <Disclosure
    v-if="notes.length"
    v-slot="{ open }"
    as="div"
    class="border border-hair bg-sheet px-4 py-2"
    data-testid="source-notes"
  >
    <DisclosureButton class="flex w-full gap-3 text-left">
      <b v-if="unknown" class="font-semibold">{{ said }}</b>
      <span v-else>{{ said }}</span>
      <span class="ml-auto underline underline-offset-2">{{ open ? 'Hide' : 'Show' }}</span>
    </DisclosureButton>
    <DisclosurePanel as="ul" class="rule-list mt-1 max-h-40 overflow-auto" tabindex="0">
      <li v-for="(note, row) in notes" :key="row" class="flex flex-wrap gap-x-3 py-1">
        <span class="w-28 flex-none text-quiet">{{ note.kind }}</span>
        <span class="value w-24 flex-none wrap-break-word text-quiet" :title="note.where">{{
          note.where
        }}</span>
        <span class="min-w-0 flex-1 wrap-break-word max-[640px]:basis-full">{{ note.text }}</span>
      </li>
    </DisclosurePanel>
  </Disclosure>
</template>
