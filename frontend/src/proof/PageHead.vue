<script setup lang="ts">
import BrandMark from './BrandMark.vue'
import PartButton from './PartButton.vue'
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

defineProps<{ call: string }>()
</script>

<template>
  <StandOn section="head" as="header">
    <div class="wide tight row">
      <BrandMark />
      <nav class="push row wide-only" aria-label="Main">
        <PartOf name="Navigation" element="text" as="a" look="text" href="#">Today</PartOf>
        <PartOf name="Navigation, second" element="text" as="a" look="text" href="#">Visit</PartOf>
        <PartOf name="Navigation, third" element="text" as="a" look="text" href="#">Learn</PartOf>
      </nav>
      <PartButton name="Head’s button">{{ call }}</PartButton>
    </div>
  </StandOn>
</template>
