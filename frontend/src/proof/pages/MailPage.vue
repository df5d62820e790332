<script setup lang="ts">
import BrandMark from '@/proof/BrandMark.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const NEWS = [
  { title: 'Longer evenings from October', text: 'We open at seven and close when you leave.' },
  { title: 'A second stove', text: 'Nobody has to stand by the door any more.' },
] as const
</script>

<template>
  <StandOn section="frame" as="main">
    <div class="letter pad">
      <StandOn section="letter">
        <div class="card stack">
          <BrandMark />
          <PartOf name="Letter’s line" element="line" as="hr" class="rule" />
          <PartOf name="Letter’s heading" element="heading" as="h1" look="h2"
            >Autumn is ours</PartOf
          >
          <PartOf name="Letter’s text" element="text" look="text"
            >Dear Maren, the dark comes earlier and so do we. Here is what is new since you were
            here in June.</PartOf
          >
          <template v-for="(one, row) in NEWS" :key="row">
            <PartOf :name="`News ${row + 1}, heading`" element="heading" as="h2" look="h3">{{
              one.title
            }}</PartOf>
            <PartOf :name="`News ${row + 1}, text`" element="text" look="text"
              >{{ one.text }}
              <PartOf :name="`News ${row + 1}, link`" element="link" as="a" look="text" href="#"
                >More of it</PartOf
              ></PartOf
            >
          </template>
        </div>
      </StandOn>
      <StandOn section="call">
        <div class="card stack">
          <PartOf name="Call’s heading" element="heading" as="h2" look="h3"
            >For you until Sunday: two for one</PartOf
          >
          <PartOf name="Call’s text" element="text" look="text"
            >Say that you come from this letter.</PartOf
          >
          <PartButton name="Call’s button">Take the offer</PartButton>
        </div>
      </StandOn>
      <StandOn section="foot" as="footer">
        <div class="card">
          <PartOf name="Foot’s text" element="quiet text" look="small"
            >You get this because you asked for it in March.
            <PartOf name="Foot’s link" element="link" as="a" look="small" href="#">Stop it</PartOf>
            with one click.</PartOf
          >
        </div>
      </StandOn>
    </div>
  </StandOn>
</template>
