<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** Three figures in large type. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.numbers" section="numbers">
    <ul class="wide pad columns">
      <li v-for="(one, row) in context.copy.home.numbers" :key="one.caption">
        <PartOf :name="`Figure ${row + 1}`" element="heading" look="h1">{{ one.figure }}</PartOf>
        <PartOf :name="`Figure ${row + 1}, caption`" element="text" look="text">{{
          one.caption
        }}</PartOf>
      </li>
    </ul>
  </StandOn>
</template>
