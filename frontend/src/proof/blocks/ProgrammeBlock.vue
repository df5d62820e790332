<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** Evenings with their days; what is nearly gone is marked. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.programme" section="programme">
    <div class="wide pad stack">
      <div class="row over-line">
        <PartOf name="Programme’s heading" element="heading" as="h2" look="h2">{{
          context.copy.home.programme.heading
        }}</PartOf>
        <PartOf name="Programme’s link" element="link" as="a" look="text" href="#" class="push">{{
          context.copy.home.programme.link
        }}</PartOf>
      </div>
      <ul>
        <li
          v-for="evening in context.copy.home.programme.evenings"
          :key="evening.day"
          class="evening listed"
        >
          <StandOn as="div" ground="accent" class="day">
            <PartOf :name="evening.day" element="heading" as="span" look="h3">{{
              evening.day
            }}</PartOf>
          </StandOn>
          <div>
            <PartOf :name="`${evening.day}, title`" element="heading" as="h3" look="h3">{{
              evening.title
            }}</PartOf>
            <PartOf :name="`${evening.day}, text`" element="text" look="text">{{
              evening.text
            }}</PartOf>
          </div>
          <p v-if="evening.state" class="push">
            <PartOf :name="`${evening.day}, mark`" element="warning" as="span" class="mark"
              >▲</PartOf
            >
            <PartOf :name="`${evening.day}, state`" element="text" as="span" look="small">{{
              evening.state
            }}</PartOf>
          </p>
          <PartOf
            v-else
            :name="`${evening.day}, link`"
            element="link"
            as="a"
            look="text"
            href="#"
            class="push"
            >{{ context.copy.call }}</PartOf
          >
        </li>
      </ul>
    </div>
  </StandOn>
</template>
