<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** A story, beside a picture or a figure on the accent. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.story" section="story">
    <div class="wide pad halves">
      <div class="stack">
        <PartOf name="Story’s heading" element="heading" as="h2" look="h2">{{
          context.copy.home.story.heading
        }}</PartOf>
        <PartOf name="Story’s text" element="text" look="text">{{
          context.copy.home.story.text
        }}</PartOf>
        <PartOf name="Story’s link" element="link" as="a" look="text" href="#">{{
          context.copy.home.story.link
        }}</PartOf>
      </div>
      <PagePicture
        v-if="context.copy.home.story.scene"
        name="Story’s picture"
        class="tall"
        :scene="context.copy.home.story.scene"
      />
      <div v-else class="figure">
        <StandOn as="div" ground="accent" class="figure-number">
          <PartOf name="Story’s figure" element="heading" look="h1">{{
            context.copy.home.story.figure
          }}</PartOf>
        </StandOn>
        <PartOf name="Story’s caption" element="text" look="text">{{
          context.copy.home.story.caption
        }}</PartOf>
      </div>
    </div>
  </StandOn>
</template>
