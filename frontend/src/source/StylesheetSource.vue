<script setup lang="ts">
import { Tab, TabGroup, TabList, TabPanel, TabPanels } from '@headlessui/vue'
import { useDebounceFn } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import type { Source, SourceReading } from '@/api/types'
import RulePairs from './RulePairs.vue'
import SourceNotes from './SourceNotes.vue'
import { useLimits } from '@/take/useLimits'
import { countOf, formatFixed } from '@/ui/format'

const props = defineProps<{ source: Source }>()
const emit = defineEmits<{ read: [changes: Partial<SourceReading>] }>()
const limits = useLimits()

const sheet = computed(() => props.source.stylesheet)
const difference = ref(0)
watch(
  () => sheet.value?.difference,
  (value) => (difference.value = value ?? 0),
  { immediate: true },
)
const ask = useDebounceFn(() => {
  emit('read', { difference: difference.value })
}, 60)

const tabs = computed(() => [
  countOf(sheet.value?.groups.length ?? 0, 'colour', 'colours'),
  `${countOf(sheet.value?.pairs.length ?? 0, 'pair', 'pairs')} set in one rule`,
])
const alike = computed(() => (sheet.value?.uses.length ?? 0) - (sheet.value?.groups.length ?? 0))
</script>

<template>
  <div v-if="sheet" class="flex flex-none flex-col gap-2.5">
    <div class="border border-ink bg-sheet px-4 py-3">
      <h2 class="text-title">{{ countOf(sheet.uses.length, 'colour', 'colours') }} in use</h2>
      <p class="text-quiet">
        {{
          alike
            ? `Shown as ${sheet.groups.length.toString()}: near-duplicates are grouped (${alike.toString()})`
            : 'No two look alike'
        }}
      </p>
      <label class="mt-2 flex flex-wrap items-center gap-3">
        <span>Group colours closer than</span>
        <!-- Before the limit is known there is no place for the handle to stand at. -->
        <input
          v-if="limits"
          v-model.number="difference"
          type="range"
          min="0"
          :max="limits.difference"
          step="0.005"
          class="slider w-52"
          @input="ask"
        />
        <span class="value">{{ formatFixed(difference, 3) }}</span>
      </label>
    </div>
    <SourceNotes :notes="source.notes" />
    <TabGroup>
      <TabList class="flex self-start border border-ink">
        <Tab v-for="(tab, place) in tabs" :key="place" v-slot="{ selected }" as="template">
          <button
            class="border-r border-ink px-2.5 py-1 font-semibold -outline-offset-3 last:border-r-0"
            :class="selected ? 'bg-ink text-sheet' : 'bg-sheet hover:bg-surround'"
          >
            {{ tab }}
          </button>
        </Tab>
      </TabList>
      <TabPanels>
        <TabPanel tabindex="-1"><slot /></TabPanel>
        <TabPanel tabindex="-1">
          <RulePairs :pairs="sheet.pairs" />
        </TabPanel>
      </TabPanels>
    </TabGroup>
  </div>
</template>
