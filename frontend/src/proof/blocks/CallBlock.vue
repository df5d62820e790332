<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** The last call before the foot, with a picture that runs to the edge, or in a row. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.call" section="call">
    <div v-if="context.copy.home.call.scene" class="opening is-call">
      <div class="opening-side stack">
        <PartOf name="Call’s heading" element="heading" as="h2" look="h2">{{
          context.copy.home.call.heading
        }}</PartOf>
        <PartOf name="Call’s text" element="text" look="text">{{
          context.copy.home.call.text
        }}</PartOf>
        <PartButton name="Call’s button">{{ context.copy.home.call.button }}</PartButton>
      </div>
      <PagePicture name="Call’s picture" :scene="context.copy.home.call.scene" />
    </div>
    <div v-else class="wide pad row is-alone">
      <div class="stack">
        <PartOf name="Call’s heading" element="heading" as="h2" look="h2">{{
          context.copy.home.call.heading
        }}</PartOf>
        <PartOf name="Call’s text" element="text" look="text" class="measure">{{
          context.copy.home.call.text
        }}</PartOf>
      </div>
      <PartButton name="Call’s button" class="push">{{ context.copy.home.call.button }}</PartButton>
    </div>
  </StandOn>
</template>
