<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** What somebody said, with their name beside. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.voice" section="voice">
    <div class="quoted">
      <div class="opening-side">
        <PartOf name="Voice’s quote" element="heading" as="blockquote" look="h2"
          >“{{ context.copy.home.voice.quote }}”</PartOf
        >
      </div>
      <StandOn as="div" ground="accent" class="stack speaker">
        <PartOf name="Voice’s name" element="text" look="label">{{
          context.copy.home.voice.name
        }}</PartOf>
        <PartOf name="Voice’s about" element="text" look="small">{{
          context.copy.home.voice.about
        }}</PartOf>
        <PartButton v-if="context.copy.home.voice.button" name="Voice’s button">{{
          context.copy.home.voice.button
        }}</PartButton>
      </StandOn>
    </div>
  </StandOn>
</template>
