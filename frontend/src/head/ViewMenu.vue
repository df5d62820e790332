<script setup lang="ts">
import { Menu, MenuButton, MenuItem, MenuItems } from '@headlessui/vue'
import { ref } from 'vue'
import { KeySheet, StudioDialog, WordSheet } from './laterParts'
import { useShortcut } from '@/ui/keys'
import { useWanted } from '@/ui/useWanted'
import { useTakeStore } from '@/take/take'
import { useWorkspace } from '@/ui/useWorkspace'
import type { Workspace } from '@/ui/useWorkspace'

const { workspace } = useWorkspace()
const take = useTakeStore()
const showsKeys = ref(false)
const showsWords = ref(false)
const showsStudio = ref(false)
const wantsKeys = useWanted(showsKeys)
const wantsWords = useWanted(showsWords)
const wantsStudio = useWanted(showsStudio)
useShortcut('sheet', () => (showsKeys.value = true))
// By its key a letter would be typed into the field that the sheet opens with: that is prevented there.
useShortcut('words', () => (showsWords.value = true))
useShortcut('undo', () => {
  take.undo()
})
useShortcut('redo', () => {
  take.redo()
})
const WORKSPACES: readonly { value: Workspace; label: string }[] = [
  { value: 'light', label: 'Light workspace' },
  { value: 'dark', label: 'Dark workspace' },
  { value: 'system', label: 'Same as the system' },
]
</script>

<template>
  <Menu as="div" class="relative">
    <MenuButton class="button">View</MenuButton>
    <MenuItems class="absolute right-0 z-30 mt-px w-52 border border-ink bg-sheet py-1">
      <MenuItem v-for="option in WORKSPACES" :key="option.value" v-slot="{ active }">
        <button
          type="button"
          class="flex w-full justify-between px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          @click="workspace = option.value"
        >
          {{ option.label }} <span v-if="workspace === option.value">in use</span>
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button
          type="button"
          class="flex w-full justify-between border-t border-hair px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          @click="showsKeys = true"
        >
          Keyboard shortcuts <span class="value">?</span>
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button
          type="button"
          class="flex w-full justify-between px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          @click="showsWords = true"
        >
          Words <span class="value">W</span>
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <button
          type="button"
          class="flex w-full border-t border-hair px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          @click="showsStudio = true"
        >
          Studio
        </button>
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <RouterLink
          :to="{ name: 'mails' }"
          class="flex w-full px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          >Emails</RouterLink
        >
      </MenuItem>
      <MenuItem v-slot="{ active }">
        <RouterLink
          :to="{ name: 'help' }"
          class="flex w-full border-t border-hair px-3 py-1.5 text-left"
          :class="active && 'bg-ink text-sheet'"
          >Help</RouterLink
        >
      </MenuItem>
    </MenuItems>
  </Menu>
  <KeySheet v-if="wantsKeys" v-model="showsKeys" />
  <WordSheet v-if="wantsWords" v-model="showsWords" />
  <StudioDialog v-if="wantsStudio" v-model="showsStudio" />
</template>
