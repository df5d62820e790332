<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** A menu: courses in columns, each dish with its price at the end of the line. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.menu" section="menu">
    <div class="wide pad stack">
      <PartOf name="Menu’s heading" element="heading" as="h2" look="h2">{{
        context.copy.home.menu.heading
      }}</PartOf>
      <div class="halves is-top">
        <div v-for="course in context.copy.home.menu.courses" :key="course.title" class="stack">
          <PartOf :name="course.title" element="quiet text" as="h3" look="small" class="kicker">{{
            course.title
          }}</PartOf>
          <div v-for="dish in course.dishes" :key="dish.name" class="listed">
            <div class="row">
              <PartOf :name="dish.name" element="heading" as="h4" look="h3">{{ dish.name }}</PartOf>
              <PartOf
                :name="`${dish.name}, price`"
                element="text"
                as="span"
                look="text"
                class="push"
                >{{ dish.price }}</PartOf
              >
            </div>
            <PartOf :name="`${dish.name}, with`" element="quiet text" look="small">{{
              dish.text
            }}</PartOf>
          </div>
        </div>
      </div>
      <StandOn as="div" ground="accent" class="card menu-note">
        <PartOf name="Menu’s note" element="heading" look="h3">{{
          context.copy.home.menu.note
        }}</PartOf>
      </StandOn>
    </div>
  </StandOn>
</template>
