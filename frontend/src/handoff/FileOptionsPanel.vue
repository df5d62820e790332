<script setup lang="ts">
import { computed } from 'vue'
import type { FileFormat, FileOptions, HandoffVocabulary } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import TickList from './TickList.vue'

const options = defineModel<FileOptions>({ required: true })
const props = defineProps<{ format: FileFormat | undefined; vocabulary: HandoffVocabulary }>()

const PARTS = [
  { name: 'roles', label: 'Roles' },
  { name: 'texts', label: 'What reads on each ground' },
  { name: 'swatches', label: 'Colours without a role' },
  { name: 'steps', label: 'Tints and shades' },
  { name: 'grounds', label: 'Every element, by its ground' },
  { name: 'overlays', label: 'Overlays, where a file holds alpha' },
  { name: 'night', label: 'The night scheme' },
] as const
const PAGES = [
  { name: 'page_values', label: 'Values in every notation' },
  { name: 'page_steps', label: 'Tints and shades' },
  { name: 'page_grounds', label: 'Element colours on each ground' },
  { name: 'page_pairs', label: 'Every pair with its ratio' },
] as const
const SHEETS = ['pdf', 'html']
const EXAMPLES = { kebab: 'text-on-mist', camel: 'textOnMist', snake: 'text_on_mist' } as const
const DARKS = {
  media: 'By system setting',
  attribute: 'By data-theme="dark"',
  class: 'By the class dark',
  'light-dark': 'In one value, light-dark()',
} as const
const FALLBACK = [{ name: 'fallback', label: 'Hex first, for older browsers' }] as const
const HEX_TOKENS = [{ name: 'hex_tokens', label: 'As hex strings, for older readers' }] as const
const IN_STYLESHEETS = ['css', 'tailwind']
const IN_TOKENS = ['tokens', 'modes', 'resolver']
const isStylesheet = computed(() => IN_STYLESHEETS.includes(props.format?.kind ?? ''))
const isTokens = computed(() => IN_TOKENS.includes(props.format?.kind ?? ''))
/** A palette for a drawing program has no use for the texts. */
const parts = computed(() => PARTS.filter((one) => one.name !== 'texts' || props.format?.texts))
const canFallBack = computed(
  () => isStylesheet.value && props.vocabulary.newer_notations.includes(options.value.notation),
)
const darks = computed(() =>
  props.vocabulary.darks.map((value) => ({ value, label: DARKS[value] })),
)
const namings = computed(() =>
  props.vocabulary.namings.map((value) => ({ value, label: EXAMPLES[value] })),
)
const notations = computed(() =>
  props.vocabulary.file_notations.map((value) => ({ value, label: value })),
)
const presses = computed(() =>
  props.vocabulary.presses.map((name, row) => ({ value: row ? name : '', label: name })),
)
const papers = computed(() => props.vocabulary.papers.map((value) => ({ value, label: value })))

function set(changes: Partial<FileOptions>) {
  options.value = { ...options.value, ...changes }
}
function setPrefix(event: Event) {
  if (event.target instanceof HTMLInputElement && event.target.validity.valid)
    set({ prefix: event.target.value })
}
</script>

<template>
  <section aria-label="Options">
    <h2 class="text-title leading-tight">Contents of the file</h2>
    <template v-if="format?.options">
      <TickList
        legend="Include"
        :boxes="parts"
        :options="options"
        @toggle="set({ [$event]: !options[$event] })"
      />
      <template v-if="options.night && isStylesheet">
        <h3 class="mt-3 text-quiet">When night applies</h3>
        <ChoiceList
          class="mt-1"
          label="When night applies"
          align="left"
          :model-value="options.dark"
          :options="darks"
          @update:model-value="set({ dark: $event })"
        />
      </template>
      <h3 class="mt-3 text-quiet">Names</h3>
      <ChoiceList
        class="mt-1"
        label="Names"
        align="left"
        :model-value="options.naming"
        :options="namings"
        @update:model-value="set({ naming: $event })"
      />
      <label class="mt-2 block">
        <span class="text-quiet">Prefix</span>
        <input
          class="field value mt-1"
          maxlength="20"
          pattern="[a-z][a-z0-9]*"
          placeholder="for example brand"
          :value="options.prefix"
          @input="setPrefix"
        />
      </label>
      <h3 class="mt-3 text-quiet">Values</h3>
      <TickList
        v-if="isTokens"
        legend="Colours"
        :boxes="HEX_TOKENS"
        :options="options"
        @toggle="set({ [$event]: !options[$event] })"
      />
      <ChoiceList
        v-else
        class="mt-1"
        label="Notation of the file"
        align="left"
        :model-value="options.notation"
        :options="notations"
        @update:model-value="set({ notation: $event })"
      />
      <TickList
        v-if="canFallBack"
        legend="Browsers"
        :boxes="FALLBACK"
        :options="options"
        @toggle="set({ [$event]: !options[$event] })"
      />
    </template>
    <template v-else-if="format && SHEETS.includes(format.kind)">
      <TickList
        legend="After the first page"
        :boxes="PAGES"
        :options="options"
        @toggle="set({ [$event]: !options[$event] })"
      />
      <template v-if="presses.length > 1">
        <h3 class="mt-3 text-quiet">Press profile, for CMYK</h3>
        <ChoiceList
          class="mt-1"
          label="Press profile"
          align="left"
          :model-value="options.press"
          :options="presses"
          @update:model-value="set({ press: $event })"
        />
      </template>
      <template v-if="format.kind === 'pdf'">
        <h3 class="mt-3 text-quiet">Page size</h3>
        <ChoiceList
          class="mt-1"
          label="Page size"
          align="left"
          :model-value="options.paper"
          :options="papers"
          @update:model-value="set({ paper: $event })"
        />
      </template>
    </template>
    <p v-else-if="format?.kind === 'office'" class="mt-2 text-quiet">
      Twelve slots, filled from the roles by day.
    </p>
    <p v-else class="mt-2 text-quiet">This file has no options.</p>
  </section>
</template>
