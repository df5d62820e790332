<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import type { Destination, HandoffVocabulary, Slot } from '@/api/types'
import { NEW_SLOT } from '@/api/constants'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'

/** The slots of a destination of one’s own: names, what each is for, what it stands on there. */
const props = defineProps<{ destination: Destination; vocabulary: HandoffVocabulary }>()
const emit = defineEmits<{ save: [name: string, slots: Slot[]] }>()
const shown = defineModel<boolean>({ required: true })
const name = ref('')
const slots = ref<Slot[]>([])

watch(
  shown,
  (isShown) => {
    if (!isShown) return
    name.value = props.destination.name
    slots.value = props.destination.slots.map((one) => ({ ...one }))
  },
  { immediate: true },
)
const purposes = computed(() => props.vocabulary.purposes.map((value) => ({ value, label: value })))
const notations = computed(() =>
  props.vocabulary.notations.map((value) => ({ value, label: value })),
)
const NOTHING = ''
const groundsFor = (slot: Slot) => [
  { value: NOTHING, label: 'on no fixed background' },
  ...slots.value
    .filter((one) => one !== slot && one.name)
    .map((one) => ({ value: one.name, label: `on ${one.name}` })),
]
function add() {
  let number = slots.value.length + 1
  while (slots.value.some((one) => one.name === `Slot ${number.toString()}`)) number += 1
  slots.value.push({
    name: `Slot ${number.toString()}`,
    ...NEW_SLOT,
  })
}
function rename(slot: Slot, to: string) {
  for (const one of slots.value) if (one.on === slot.name) one.on = to
  slot.name = to
}
function take(row: number) {
  const [gone] = slots.value.splice(row, 1)
  for (const one of slots.value) if (one.on === gone?.name) one.on = null
}
function move(row: number) {
  const [moved] = slots.value.splice(row, 1)
  if (moved) slots.value.splice(row - 1, 0, moved)
}
const isWrong = computed(
  () =>
    !name.value.trim() ||
    !slots.value.length ||
    slots.value.some((one) => !one.name.trim()) ||
    new Set(slots.value.map((one) => one.name)).size < slots.value.length,
)
function keep() {
  emit('save', name.value.trim(), slots.value)
  shown.value = false
}
</script>

<template>
  <SheetDialog v-model="shown" title="The slots of a destination" wide>
    <form @submit.prevent="keep">
      <label class="mt-2 block"
        ><span class="text-quiet">Name</span>
        <input v-model="name" class="field" maxlength="80" autocomplete="off" />
      </label>
      <ol class="mt-3">
        <li v-for="(slot, row) in slots" :key="row" class="mt-1 flex items-center gap-1.5">
          <input
            class="field w-32!"
            maxlength="80"
            :value="slot.name"
            :aria-label="`Name of slot ${row + 1}`"
            @input="rename(slot, ($event.target as HTMLInputElement).value)"
          />
          <ChoiceList
            v-model="slot.purpose"
            class="w-34"
            :label="`Purpose of ${slot.name}`"
            :options="purposes"
          />
          <ChoiceList
            v-model="slot.notation"
            class="w-27"
            :label="`Notation of ${slot.name}`"
            :options="notations"
          />
          <ChoiceList
            class="min-w-0 flex-1"
            :label="`${slot.name} stands`"
            :model-value="slot.on ?? NOTHING"
            :options="groundsFor(slot)"
            @update:model-value="slot.on = $event || null"
          />
          <button
            type="button"
            class="button px-2!"
            :disabled="row === 0"
            :aria-label="`Move ${slot.name} up`"
            @click="move(row)"
          >
            ↑
          </button>
          <button
            type="button"
            class="button px-2!"
            :aria-label="`Remove ${slot.name}`"
            @click="take(row)"
          >
            ×
          </button>
        </li>
      </ol>
      <div class="mt-3 flex gap-2">
        <button type="button" class="button" @click="add">Add a slot</button>
        <button class="button-solid ml-auto" :disabled="isWrong">Save</button>
        <button type="button" class="button" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
