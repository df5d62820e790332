<script setup lang="ts">
import { provideShared, useProofContext } from './context'
import BrandMark from './BrandMark.vue'
import PartButton from './PartButton.vue'
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

/** The head of a page; the first of its links is the page one is on. */
defineProps<{ call?: string }>()
const context = useProofContext()
provideShared()
const NAMES = ['Navigation', 'Navigation, second', 'Navigation, third'] as const
</script>

<template>
  <StandOn section="head" as="header">
    <div class="wide tight row">
      <BrandMark />
      <nav class="push row wide-only" aria-label="Main">
        <PartOf
          v-for="(name, row) in NAMES"
          :key="name"
          :name="name"
          element="text"
          as="a"
          look="text"
          href="#"
          :aria-current="row === 0 ? 'page' : undefined"
          >{{ context.copy.navigation[row] }}</PartOf
        >
      </nav>
      <PartButton name="Head’s button">{{ call ?? context.copy.call }}</PartButton>
    </div>
  </StandOn>
</template>
