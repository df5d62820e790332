<script setup lang="ts">
import { useProofContext } from '@/proof/context'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** Three prices; the one in the middle stands out. */
const context = useProofContext()
</script>

<template>
  <StandOn v-if="context.copy.home.prices" section="prices">
    <div class="wide pad stack">
      <PartOf name="Prices’ heading" element="heading" as="h2" look="h2">{{
        context.copy.home.prices.heading
      }}</PartOf>
      <PartOf name="Prices’ text" element="text" look="text" class="measure">{{
        context.copy.home.prices.text
      }}</PartOf>
      <div class="columns prices">
        <StandOn
          v-for="(plan, row) in context.copy.home.prices.plans"
          :key="plan.name"
          as="article"
          class="card stack"
          :ground="row === 1 ? 'accent' : undefined"
        >
          <PartOf :name="plan.name" element="heading" as="h3" look="h3">{{ plan.name }}</PartOf>
          <p>
            <PartOf :name="`${plan.name}, price`" element="heading" as="span" look="h2">{{
              plan.price
            }}</PartOf>
          </p>
          <PartOf :name="`${plan.name}, unit`" element="text" look="small">{{ plan.unit }}</PartOf>
          <ul class="stack points">
            <li v-for="(point, place) in plan.points" :key="point">
              <PartOf :name="`${plan.name}, point ${place + 1}`" element="text" look="text">{{
                point
              }}</PartOf>
            </li>
          </ul>
          <PartButton :name="`${plan.name}, button`">{{ plan.button }}</PartButton>
        </StandOn>
      </div>
    </div>
  </StandOn>
</template>
