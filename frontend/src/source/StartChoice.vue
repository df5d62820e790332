<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { computed } from 'vue'
import type { Start, TakeDocument } from '@/api/types'
import TakePage from '@/proof/TakePage.vue'
import type { OfferedStart } from './useStarts'

/** What is made where the given colours leave a role open: chosen by looking at pages. */
const chosen = defineModel<Start>({ required: true })
const props = defineProps<{ starts: readonly OfferedStart[] }>()

const BRAND = ['primary', 'secondary', 'accent']
const colorsOf = (document: TakeDocument) =>
  BRAND.map((role) => {
    const swatch = document.roles.find((one) => one.role === role)?.swatch
    return document.swatches.find((one) => one.id === swatch)?.hex ?? ''
  })
const cards = computed(() =>
  props.starts.map((start) => ({ ...start, colors: colorsOf(start.document) })),
)
</script>

<template>
  <div>
    <h3 class="font-semibold">Ways to start</h3>
    <RadioGroup
      v-model="chosen"
      aria-label="Ways to start"
      data-testid="starts"
      class="mt-1 flex flex-wrap gap-2.5"
    >
      <RadioGroupOption
        v-for="card in cards"
        :key="card.id"
        v-slot="{ checked }"
        :value="card.id"
        class="flex w-61.5 cursor-pointer flex-col border border-ink"
      >
        <div class="pointer-events-none" aria-hidden="true" inert>
          <TakePage
            class="-m-px"
            :document="card.document"
            :title="card.title"
            :width="244"
            :height="168"
          />
        </div>
        <span class="keeps-color flex h-3 border-y border-ink">
          <span
            v-for="(hex, row) in card.colors"
            :key="row"
            class="flex-1"
            :style="{ backgroundColor: hex }"
          ></span>
        </span>
        <span class="block flex-1 px-2 py-1" :class="checked ? 'bg-ink text-sheet' : 'bg-sheet'">
          <b class="block font-semibold">{{ card.title }}</b>
          <span class="block text-small leading-snug">{{ card.hint }}</span>
        </span>
      </RadioGroupOption>
    </RadioGroup>
  </div>
</template>
