<script setup lang="ts" generic="T extends string">
import { Listbox, ListboxButton, ListboxOption, ListboxOptions } from '@headlessui/vue'
import PointedOption from './PointedOption.vue'

const props = defineProps<{
  modelValue: T
  options: readonly { value: T; label: string; note?: string }[]
  label: string
  /** Which edge the list hangs from, and whether it opens upward. */
  align?: 'left' | 'right'
  up?: boolean
}>()
const emit = defineEmits<{ 'update:modelValue': [value: T]; point: [value: T | undefined] }>()

const labelOf = (value: T) => props.options.find((option) => option.value === value)?.label ?? value
</script>

<template>
  <Listbox
    :model-value="modelValue"
    as="div"
    class="relative"
    @update:model-value="emit('update:modelValue', $event)"
  >
    <ListboxButton
      :aria-label="`${label}: ${labelOf(modelValue)}`"
      class="button w-full justify-between"
    >
      <span dir="auto" class="truncate font-medium">{{ labelOf(modelValue) }}</span>
      <svg viewBox="0 0 8 8" class="ml-2 h-2 w-2 flex-none" aria-hidden="true">
        <path d="M0 2h8L4 7z" fill="currentColor" />
      </svg>
    </ListboxButton>
    <ListboxOptions
      :class="[align === 'left' ? 'left-0' : 'right-0', up ? 'bottom-full mb-px' : 'mt-px']"
      class="absolute z-20 max-h-64 min-w-full overflow-auto border border-ink bg-sheet"
    >
      <ListboxOption
        v-for="option in options"
        :key="option.value"
        v-slot="{ active, selected }"
        :value="option.value"
      >
        <PointedOption
          v-if="active"
          @in="emit('point', option.value)"
          @out="emit('point', undefined)"
        />
        <div
          class="flex justify-between gap-3 px-2.5 py-1 whitespace-nowrap"
          :class="[active && 'bg-ink text-sheet', selected && 'font-semibold']"
        >
          <bdi>{{ option.label }}</bdi>
          <span v-if="option.note" :class="!active && 'text-quiet'">{{ option.note }}</span>
        </div>
      </ListboxOption>
    </ListboxOptions>
  </Listbox>
</template>
