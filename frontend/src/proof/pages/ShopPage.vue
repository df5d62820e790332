<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PagePicture from '@/proof/PagePicture.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const context = useProofContext()
const shop = computed(() => context.value.copy.shop)
const pieces = computed(() => shop.value.basket.reduce((sum, one) => sum + one.count, 0))
</script>

<template>
  <PageHead :call="`Basket, ${pieces}`" />
  <main>
    <StandOn section="product">
      <div class="product wide pad halves" :class="`is-${shop.layout.product}`">
        <PagePicture name="Product’s picture" class="square" :scene="shop.scene" own />
        <div class="stack">
          <PartOf name="Product’s kind" element="quiet text" look="small">{{ shop.kind }}</PartOf>
          <PartOf name="Product’s name" element="heading" as="h1" look="h2">{{ shop.name }}</PartOf>
          <PartOf name="Product’s text" element="text" look="text">{{ shop.text }}</PartOf>
          <PartOf name="Price" element="heading" look="h3">{{ shop.price }}</PartOf>
          <p>
            <PartOf name="Stock, mark" element="success" as="span" class="mark">●</PartOf>
            <PartOf name="Stock" element="text" as="span" look="text"> {{ shop.stock }}</PartOf>
          </p>
          <p>
            <PartOf name="Delivery, mark" element="warning" as="span" class="mark">▲</PartOf>
            <PartOf name="Delivery" element="text" as="span" look="text"> {{ shop.few }}</PartOf>
          </p>
          <PartButton name="Buy button">{{ shop.button }}</PartButton>
          <p>
            <PartOf name="Product’s link" element="link" as="a" look="text" href="#">{{
              shop.link
            }}</PartOf>
          </p>
        </div>
      </div>
    </StandOn>
    <StandOn section="basket">
      <div class="basket wide pad stack" :class="`is-${shop.layout.basket}`">
        <PartOf name="Basket’s heading" element="heading" as="h2" look="h2">Your basket</PartOf>
        <StandOn as="div" class="card">
          <table aria-label="Basket">
            <PartOf name="Basket’s lines" element="line" as="thead" class="lines">
              <tr>
                <PartOf name="Basket’s column" element="quiet text" as="th" look="small" scope="col"
                  >Item</PartOf
                >
                <PartOf
                  name="Basket’s second column"
                  element="quiet text"
                  as="th"
                  look="small"
                  scope="col"
                  class="number"
                  >Quantity</PartOf
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
              <tr v-for="one in shop.basket" :key="one.name">
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
            <PartOf name="Sum" element="heading" as="span" look="h3" class="push">{{
              shop.sum
            }}</PartOf>
            <PartButton name="Pay button">Checkout</PartButton>
          </div>
        </StandOn>
      </div>
    </StandOn>
    <StandOn section="promise">
      <div class="promise wide pad stack" :class="`is-${shop.layout.promise}`">
        <PartOf name="Promise’s heading" element="heading" as="h2" look="h2">{{
          shop.promise.heading
        }}</PartOf>
        <PartOf name="Promise’s text" element="text" look="text" class="measure">{{
          shop.promise.text
        }}</PartOf>
        <PartButton name="Promise’s button">{{ shop.promise.button }}</PartButton>
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
