<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** A line above the head. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.strip" section="strip" as="aside" aria-label="Notice">
    <div class="wide strip row">
      <PartOf name="Strip’s text" element="text" as="span" look="small">{{
        context.copy.home.strip[0]
      }}</PartOf>
      <PartOf name="Strip’s second text" element="text" as="span" look="small" class="push">{{
        context.copy.home.strip[1]
      }}</PartOf>
    </div>
  </StandOn>
</template>
