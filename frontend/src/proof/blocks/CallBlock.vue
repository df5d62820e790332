<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** The last call before the foot, with a picture that runs to the edge or an accent of its own. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.call" section="call">
    <div class="opening" :class="context.copy.home.call.scene ? 'is-call' : 'is-alone wide pad'">
      <StandOn
        as="div"
        class="opening-side stack"
        :ground="context.copy.home.call.scene ? 'same' : 'accent'"
      >
        <PartOf name="Call’s heading" element="heading" as="h2" look="h2">{{
          context.copy.home.call.heading
        }}</PartOf>
        <PartOf name="Call’s text" element="text" look="text">{{
          context.copy.home.call.text
        }}</PartOf>
        <PartButton name="Call’s button">{{ context.copy.home.call.button }}</PartButton>
      </StandOn>
      <PagePicture
        v-if="context.copy.home.call.scene"
        name="Call’s picture"
        :scene="context.copy.home.call.scene"
      />
    </div>
  </StandOn>
</template>
