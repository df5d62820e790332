<script setup lang="ts">
import {
  Combobox,
  ComboboxButton,
  ComboboxInput,
  ComboboxLabel,
  ComboboxOption,
  ComboboxOptions,
} from '@headlessui/vue'
import { computed, ref } from 'vue'
import { api, explain, answerOf } from '@/api/client'

/** A colour to be chosen by its name, or typed in any notation. */
export interface ColorOption {
  key: string
  name: string
  hex: string
}
const props = defineProps<{
  modelValue: string
  /** What the chosen one is called, where it is none of the choices. */
  name: string
  label: string
  choices: readonly ColorOption[]
}>()
const emit = defineEmits<{ 'update:modelValue': [key: string] }>()

/** Longer lists are narrowed down by typing. */
const SHOWN = 80
const TYPED = 'typed:'
const query = ref('')
const problem = ref('')

const words = computed(() => query.value.trim().toLowerCase())
const fitting = computed(() =>
  words.value
    ? props.choices.filter((one) => `${one.name} ${one.hex}`.toLowerCase().includes(words.value))
    : props.choices,
)
const isColorText = computed(() => /^#|\(|^\d+[ ,]/.test(words.value))
const shownName = computed(
  () => props.choices.find((one) => one.key === props.modelValue)?.name ?? props.name,
)

async function choose(key: string) {
  problem.value = ''
  if (!key.startsWith(TYPED)) {
    emit('update:modelValue', key)
    return
  }
  try {
    const body = { text: key.slice(TYPED.length) }
    emit('update:modelValue', (await answerOf(api.POST('/api/colors', { body }))).hex)
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <Combobox :model-value="modelValue" as="div" class="relative" @update:model-value="choose">
    <ComboboxLabel class="sr-only">{{ label }}</ComboboxLabel>
    <div class="relative">
      <ComboboxInput
        class="field w-full pr-6!"
        autocomplete="off"
        :display-value="() => shownName"
        @change="query = $event.target.value"
        @focus="$event.target.select()"
      />
      <ComboboxButton
        class="absolute inset-y-0 right-0 flex w-6 items-center justify-center"
        aria-label="open the list"
        @click="query = ''"
      >
        <svg viewBox="0 0 8 8" class="h-2 w-2" aria-hidden="true">
          <path d="M0 2h8L4 7z" fill="currentColor" />
        </svg>
      </ComboboxButton>
    </div>
    <ComboboxOptions
      class="absolute left-0 z-20 mt-px max-h-64 min-w-full overflow-auto border border-ink bg-sheet"
    >
      <ComboboxOption
        v-for="one in fitting.slice(0, SHOWN)"
        :key="one.key"
        v-slot="{ active, selected }"
        :value="one.key"
      >
        <div
          class="flex items-center gap-2 px-2 py-0.5 whitespace-nowrap"
          :class="[active && 'bg-ink text-sheet', selected && 'font-semibold']"
        >
          <span
            v-if="one.hex"
            class="keeps-color h-4 w-4 flex-none border border-hair"
            :style="{ backgroundColor: one.hex }"
          ></span>
          <bdi>{{ one.name }}</bdi>
        </div>
      </ComboboxOption>
      <ComboboxOption v-if="isColorText" v-slot="{ active }" :value="`${TYPED}${query.trim()}`">
        <div class="px-2 py-0.5 whitespace-nowrap" :class="active && 'bg-ink text-sheet'">
          The value <span class="value">{{ query.trim() }}</span> itself
        </div>
      </ComboboxOption>
      <li v-if="fitting.length > SHOWN" class="px-2 py-0.5 text-quiet">
        {{ fitting.length - SHOWN }} more: type to find them
      </li>
      <li v-if="!fitting.length && !isColorText" class="px-2 py-0.5 text-quiet">
        No colour has this name. Type a value such as #2b3a8c.
      </li>
    </ComboboxOptions>
    <p v-if="problem" role="alert" class="text-small font-semibold">{{ problem }}</p>
  </Combobox>
</template>
