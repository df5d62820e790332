<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** How it goes, in three numbered steps. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.steps" section="steps">
    <div class="wide pad stack">
      <PartOf name="Steps’ heading" element="heading" as="h2" look="h2">{{
        context.copy.home.steps.heading
      }}</PartOf>
      <PartOf name="Steps’ text" element="text" look="text" class="measure">{{
        context.copy.home.steps.text
      }}</PartOf>
      <ol class="columns steps">
        <li v-for="(step, row) in context.copy.home.steps.items" :key="step.title" class="stack">
          <StandOn as="div" ground="accent" class="numeral">
            <PartOf :name="`Step ${row + 1}, number`" element="heading" as="span" look="h3">{{
              row + 1
            }}</PartOf>
          </StandOn>
          <PartOf :name="`Step ${row + 1}, heading`" element="heading" as="h3" look="h3">{{
            step.title
          }}</PartOf>
          <PartOf :name="`Step ${row + 1}, text`" element="text" look="text">{{
            step.text
          }}</PartOf>
        </li>
      </ol>
    </div>
  </StandOn>
</template>
