<script setup lang="ts">
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import ProductDrawing from '@/proof/ProductDrawing.vue'
import StandOn from '@/proof/StandOn.vue'

const BASKET = [
  { name: 'Enamel mug, small', count: 2, price: '18.00' },
  { name: 'Wool blanket', count: 1, price: '89.00' },
] as const
</script>

<template>
  <PageHead call="Basket, 3" />
  <main>
    <StandOn section="product">
      <div class="wide pad halves">
        <StandOn as="div" class="card"><ProductDrawing /></StandOn>
        <div class="stack">
          <PartOf name="Product’s kind" element="quiet text" look="small"
            >From the workshop, 40 a month</PartOf
          >
          <PartOf name="Product’s name" element="heading" as="h1" look="h2"
            >The mug that survives the path</PartOf
          >
          <PartOf name="Product’s text" element="text" look="text"
            >Steel under enamel, a rim that stays cool, and a handle for gloves. Chips are repaired,
            not replaced.</PartOf
          >
          <PartOf name="Price" element="heading" look="h3">9.00</PartOf>
          <p>
            <PartOf name="Stock, mark" element="success" as="span" class="mark">●</PartOf>
            <PartOf name="Stock" element="text" as="span" look="text">
              In stock, sent tomorrow</PartOf
            >
          </p>
          <p>
            <PartOf name="Delivery, mark" element="warning" as="span" class="mark">▲</PartOf>
            <PartOf name="Delivery" element="text" as="span" look="text">
              Only seven left of the blue ones</PartOf
            >
          </p>
          <PartButton name="Buy button">Put in the basket</PartButton>
          <p>
            <PartOf name="Product’s link" element="link" as="a" look="text" href="#"
              >Sizes and care</PartOf
            >
          </p>
        </div>
      </div>
    </StandOn>
    <StandOn section="basket">
      <div class="wide pad stack">
        <PartOf name="Basket’s heading" element="heading" as="h2" look="h2">Your basket</PartOf>
        <StandOn as="div" class="card">
          <table aria-label="Basket">
            <PartOf name="Basket’s lines" element="line" as="thead" class="lines">
              <tr>
                <PartOf name="Basket’s column" element="quiet text" as="th" look="small" scope="col"
                  >Article</PartOf
                >
                <PartOf
                  name="Basket’s second column"
                  element="quiet text"
                  as="th"
                  look="small"
                  scope="col"
                  class="number"
                  >Pieces</PartOf
                >
                <PartOf
                  name="Basket’s third column"
                  element="quiet text"
                  as="th"
                  look="small"
                  scope="col"
                  class="number"
                  >Price</PartOf
                >
              </tr>
            </PartOf>
            <tbody>
              <tr v-for="one in BASKET" :key="one.name">
                <PartOf :name="one.name" element="text" as="td" look="text">{{ one.name }}</PartOf>
                <PartOf
                  :name="`${one.name}, pieces`"
                  element="text"
                  as="td"
                  look="text"
                  class="number"
                  >{{ one.count }}</PartOf
                >
                <PartOf
                  :name="`${one.name}, price`"
                  element="text"
                  as="td"
                  look="text"
                  class="number"
                  >{{ one.price }}</PartOf
                >
              </tr>
            </tbody>
          </table>
          <div class="row tight">
            <PartOf name="Basket’s link" element="link" as="a" look="text" href="#"
              >Empty it</PartOf
            >
            <PartOf name="Sum" element="heading" as="span" look="h3" class="push">107.00</PartOf>
            <PartButton name="Pay button">To the till</PartButton>
          </div>
        </StandOn>
      </div>
    </StandOn>
    <StandOn section="promise">
      <div class="wide pad stack">
        <PartOf name="Promise’s heading" element="heading" as="h2" look="h2"
          >Broken in the first year? We mend it</PartOf
        >
        <PartOf name="Promise’s text" element="text" look="text" class="measure"
          >Send it in an old box. You pay the stamp, we pay the way back.</PartOf
        >
        <PartButton name="Promise’s button">How mending works</PartButton>
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
