<script setup lang="ts">
import { computed } from 'vue'
import FindStave from './FindStave.vue'
import WordChips from './WordChips.vue'
import type { Wanted } from './useFinding'
import type { PaletteNote, PaletteVocabulary, PlacedNote } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import RadioBar from '@/ui/RadioBar.vue'

/** What palettes can be asked for: by notes, words, hues, ground, character and level. */
const props = defineProps<{
  vocabulary: PaletteVocabulary
  placed: readonly PlacedNote[]
  wanted: Wanted
  holds: boolean
  isAsked: boolean
}>()
const notes = defineModel<PaletteNote[]>('notes', { required: true })
const emit = defineEmits<{ want: [change: Partial<Wanted>]; nothing: [] }>()

const any = (word: string) => ({ value: '', label: word })
const options = (words: readonly string[], none: string) => [
  any(none),
  ...words.map((word) => ({ value: word, label: word })),
]
const GROUNDS = [
  { value: '', label: 'any' },
  { value: 'light', label: 'light' },
  { value: 'dark', label: 'dark' },
] as const
const SHELVES = [
  { value: 'all', label: 'all' },
  { value: 'starred', label: 'starred' },
  { value: 'own', label: 'own' },
] as const
const trade = computed(() => props.wanted.trades[0] ?? '')
</script>

<template>
  <div class="flex flex-col gap-3">
    <p class="text-quiet">
      Put a note where you want a colour. Palettes with a colour near it come first.
    </p>
    <FindStave v-model="notes" :vocabulary="vocabulary" :placed="placed" />
    <div>
      <label class="sr-only" for="palette-words">Words</label>
      <input
        id="palette-words"
        :value="wanted.words"
        type="search"
        class="field"
        placeholder="clay, teal, market…"
        maxlength="120"
        autocomplete="off"
        @input="emit('want', { words: ($event.target as HTMLInputElement).value })"
      />
    </div>
    <button
      v-if="holds"
      type="button"
      class="button w-full"
      :class="wanted.withHeld && 'bg-ink! text-sheet!'"
      :aria-pressed="wanted.withHeld"
      @click="emit('want', { withHeld: !wanted.withHeld })"
    >
      To go with the held colours
    </button>
    <p v-if="wanted.like" class="flex items-center gap-2 border border-ink py-1 pr-1 pl-2">
      <span class="min-w-0 flex-1 truncate">Like “{{ wanted.like.name }}”</span>
      <button
        type="button"
        class="px-1.5 hover:bg-surround"
        aria-label="Not only like it"
        @click="emit('want', { like: undefined })"
      >
        ×
      </button>
    </p>
    <WordChips
      :model-value="wanted.moods"
      label="Moods"
      :words="vocabulary.moods"
      @update:model-value="emit('want', { moods: $event })"
    />
    <div class="flex items-center justify-between gap-2">
      <span>Hues</span>
      <WordChips
        :model-value="wanted.hues"
        label="How many hues"
        :words="[1, 2, 3, 4]"
        @update:model-value="emit('want', { hues: $event })"
      />
    </div>
    <div class="flex items-center justify-between gap-2">
      <span>Ground</span>
      <RadioBar
        :model-value="wanted.ground"
        small
        label="Ground"
        :options="GROUNDS"
        @update:model-value="emit('want', { ground: $event })"
      />
    </div>
    <div class="flex items-center justify-between gap-2">
      <span>Shown</span>
      <RadioBar
        :model-value="wanted.shelf"
        small
        label="Palettes shown"
        :options="SHELVES"
        @update:model-value="emit('want', { shelf: $event })"
      />
    </div>
    <div class="flex items-center justify-between gap-2">
      <span>Reaches AAA</span>
      <button
        type="button"
        class="min-h-6 border border-ink px-2 font-semibold"
        :class="wanted.aaa ? 'bg-ink text-sheet' : 'hover:bg-surround'"
        :aria-pressed="wanted.aaa"
        aria-label="AAA: only palettes that reach it"
        @click="emit('want', { aaa: !wanted.aaa })"
      >
        AAA
      </button>
    </div>
    <ChoiceList
      :model-value="trade"
      label="Field of work"
      align="left"
      :options="options(vocabulary.trades, 'Any field of work')"
      @update:model-value="emit('want', { trades: $event ? [$event] : [] })"
    />
    <ChoiceList
      :model-value="wanted.character"
      label="Character"
      align="left"
      up
      :options="options(vocabulary.characters, 'Any character')"
      @update:model-value="emit('want', { character: $event })"
    />
    <button type="button" class="button" :disabled="!isAsked" @click="emit('nothing')">
      Clear
    </button>
  </div>
</template>
