<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** When it is open, with the day it is today on Primary and a notice beside. */
const context = useProofContext()
/** The words stand on Secondary, unless the whole section does. */
const beside = computed(() =>
  context.value.figures.sections.some(
    (one) => one.page === 'home' && one.section === 'hours' && one.ground === 'secondary',
  )
    ? 'same'
    : 'secondary',
)
</script>

<template>
  <StandOn v-if="context.copy.home.hours" section="hours">
    <div class="wide pad halves">
      <StandOn as="div" :ground="beside" class="stack" :class="beside !== 'same' && 'card'">
        <PartOf name="Hours’ heading" element="heading" as="h2" look="h2">{{
          context.copy.home.hours.heading
        }}</PartOf>
        <PartOf name="Hours’ text" element="text" look="text">{{
          context.copy.home.hours.text
        }}</PartOf>
        <StandOn as="div">
          <PartOf name="Notice" element="warning" as="div" class="message">
            <div>
              <PartOf name="Notice’s heading" element="text" as="h3" look="label">{{
                context.copy.home.hours.note.title
              }}</PartOf>
              <PartOf name="Notice’s text" element="text" look="text">{{
                context.copy.home.hours.note.text
              }}</PartOf>
            </div>
          </PartOf>
        </StandOn>
      </StandOn>
      <table aria-label="Opening hours">
        <thead class="unseen">
          <tr>
            <th scope="col">Day</th>
            <th scope="col">From</th>
            <th scope="col">And</th>
          </tr>
        </thead>
        <tbody>
          <StandOn
            v-for="([day, first, then], row) in context.copy.home.hours.days"
            :key="day"
            as="tr"
            :ground="row === context.copy.home.hours.today ? 'primary' : 'same'"
          >
            <PartOf :name="day" element="text" as="td" look="text">{{ day }}</PartOf>
            <PartOf :name="`${day}, first`" element="text" as="td" look="text">{{ first }}</PartOf>
            <PartOf :name="`${day}, then`" element="text" as="td" look="text">{{ then }}</PartOf>
          </StandOn>
        </tbody>
      </table>
    </div>
  </StandOn>
</template>
