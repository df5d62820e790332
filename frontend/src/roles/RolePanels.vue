<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import NeutralPanel from './NeutralPanel.vue'
import OverlayPanel from './OverlayPanel.vue'
import type { OverlayFigures, TakeDocument } from '@/api/types'
import { roleLabel } from '@/take/roles'

defineProps<{
  document: TakeDocument
  overlays: readonly OverlayFigures[]
  said: readonly string[]
}>()
const emit = defineEmits<{ role: [role: string] }>()
const TABS = ['Why', 'Neutrals', 'Overlays'] as const
</script>

<template>
  <TabGroup>
    <TabList class="flex border border-ink">
      <Tab v-for="tab in TABS" :key="tab" v-slot="{ selected }" as="template">
        <button
          type="button"
          class="flex-1 border-r border-ink px-2 py-1 font-semibold last:border-r-0 -outline-offset-2"
          :class="selected && 'bg-ink text-sheet'"
        >
          {{ tab }}
        </button>
      </Tab>
    </TabList>
    <TabPanels class="mt-3">
      <TabPanel :tabindex="-1">
        <h2 class="text-title">Why these roles</h2>
        <div v-if="said.length" class="mt-2 border border-ink p-2" role="status">
          <h3>What can’t be reached</h3>
          <p v-for="text in said" :key="text" class="mt-1">{{ text }}</p>
        </div>
        <p v-for="one in document.roles" :key="one.role" class="mt-2">
          <button
            type="button"
            class="font-semibold underline decoration-transparent underline-offset-2 hover:decoration-current"
            @click="emit('role', one.role)"
          >
            {{ roleLabel(document.roles, one.role) }}.
          </button>
          {{ one.reason }}
        </p>
      </TabPanel>
      <TabPanel><NeutralPanel :document="document" /></TabPanel>
      <TabPanel><OverlayPanel :document="document" :overlays="overlays" /></TabPanel>
    </TabPanels>
  </TabGroup>
</template>
