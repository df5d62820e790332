<script setup lang="ts" generic="T extends string">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'

/** A menu of verbs; what opens it stands in the default slot. */
withDefaults(
  defineProps<{
    actions: readonly { value: T; label: string; disabled?: boolean }[]
    label?: string
    buttonClass?: string
    align?: 'left' | 'right'
  }>(),
  { label: undefined, buttonClass: 'button', align: 'right' },
)
const emit = defineEmits<{ act: [value: T] }>()
</script>

<template>
  <Menu as="div">
    <MenuButton :class="buttonClass" :aria-label="label" :title="label"><slot /></MenuButton>
    <MenuItems
      class="absolute top-full z-30 mt-px max-h-[60vh] w-max max-w-[min(80vw,22rem)] min-w-32 overflow-y-auto border border-ink bg-sheet py-1"
      :class="align === 'left' ? 'left-0' : 'right-0'"
    >
      <MenuItem
        v-for="action in actions"
        :key="action.value"
        v-slot="{ active }"
        :disabled="action.disabled ?? false"
      >
        <button
          type="button"
          dir="auto"
          class="block w-full px-3 py-1 text-left wrap-break-word disabled:text-quiet"
          :class="active && 'bg-ink text-sheet'"
          :disabled="action.disabled"
          @click="emit('act', action.value)"
        >
          {{ action.label }}
        </button>
      </MenuItem>
    </MenuItems>
  </Menu>
</template>
