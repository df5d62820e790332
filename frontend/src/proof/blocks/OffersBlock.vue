<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** What is on offer: cards with pictures, a shelf with prices, or tiles that each have a ground. */
const context = useProofContext()
const offers = computed(() => context.value.copy.home.offers)
const TILES = ['primary', 'mist', 'accent', 'secondary'] as const
</script>

<template>
  <StandOn v-if="offers" section="offers">
    <div class="wide pad stack">
      <div class="row over-line">
        <PartOf name="Offers’ heading" element="heading" as="h2" look="h2">{{
          offers.heading
        }}</PartOf>
        <PartOf name="Offers’ link" element="link" as="a" look="text" href="#" class="push">{{
          offers.link
        }}</PartOf>
      </div>
      <div class="offers" :class="`are-${offers.layout}`">
        <StandOn
          v-for="(offer, row) in offers.items"
          :key="offer.title"
          as="article"
          class="offer"
          :ground="offers.layout === 'tiles' ? TILES[row] : undefined"
        >
          <PagePicture
            v-if="offer.scene"
            :name="`Offer ${row + 1}, picture`"
            :scene="offer.scene"
          />
          <div class="card stack">
            <PartOf :name="`Offer ${row + 1}, heading`" element="heading" as="h3" look="h3">{{
              offer.title
            }}</PartOf>
            <PartOf :name="`Offer ${row + 1}, text`" element="text" look="text">{{
              offer.text
            }}</PartOf>
            <p class="row">
              <PartOf
                v-if="offer.price"
                :name="`Offer ${row + 1}, price`"
                element="heading"
                as="span"
                look="h3"
                >{{ offer.price }}</PartOf
              >
              <PartOf
                :name="`Offer ${row + 1}, link`"
                element="link"
                as="a"
                look="text"
                href="#"
                :class="offer.price && 'push'"
                >{{ offer.link }}</PartOf
              >
            </p>
          </div>
        </StandOn>
      </div>
    </div>
  </StandOn>
</template>
