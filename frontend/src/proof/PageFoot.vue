<script setup lang="ts">
import { provideShared, useProofContext } from './context'
import PartOf from './PartOf.vue'
import StandOn from './StandOn.vue'

const context = useProofContext()
provideShared()
</script>

<template>
  <StandOn section="foot" as="footer">
    <div class="wide pad columns">
      <div class="stack">
        <PartOf name="Foot’s heading" element="heading" as="h2" look="h3">{{
          context.brand
        }}</PartOf>
        <PartOf name="Foot’s text" element="text" look="text">{{ context.copy.foot.text }}</PartOf>
      </div>
      <ul class="stack">
        <li v-for="(link, row) in context.copy.foot.links" :key="link">
          <PartOf
            :name="row ? 'Foot’s second link' : 'Foot’s link'"
            element="link"
            as="a"
            look="text"
            href="#"
            >{{ link }}</PartOf
          >
        </li>
      </ul>
      <PartOf name="Foot’s small print" element="quiet text" look="small">{{
        context.copy.foot.small
      }}</PartOf>
    </div>
  </StandOn>
</template>
