<script setup lang="ts">
import BannerPicture from '@/proof/BannerPicture.vue'
import { useProofContext } from '@/proof/context'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const context = useProofContext()
const OFFERS = [
  {
    title: 'An hour for two',
    text: 'Somebody shows you around, then you have the place to yourselves.',
  },
  {
    title: 'First time, with children',
    text: 'Hands on everything, and cocoa in the hut afterwards.',
  },
  { title: 'The long evening', text: 'Starts at dusk, ends when the last of you has had enough.' },
] as const
</script>

<template>
  <PageHead call="Book a place" />
  <main>
    <StandOn section="opening">
      <BannerPicture>
        <div class="wide pad stack">
          <p>
            <!-- Over a picture nothing can be quiet. -->
            <PartOf
              name="Opening’s kicker"
              :element="context.picture ? 'text' : 'quiet text'"
              as="span"
              look="small"
              >This week, every night but Monday</PartOf
            >
          </p>
          <PartOf name="Opening’s heading" element="heading" as="h1" look="h1" class="measure"
            >Come before dark and stay for what follows</PartOf
          >
          <PartOf name="Opening’s paragraph" element="text" look="text" class="measure"
            >Bring a warm coat. We bring everything else, and somebody who knows where to look and
            when to say nothing.</PartOf
          >
          <PartButton name="Opening’s button">See what is on</PartButton>
        </div>
      </BannerPicture>
    </StandOn>
    <StandOn section="offers">
      <div class="wide pad">
        <div class="columns">
          <StandOn v-for="(offer, row) in OFFERS" :key="row" as="article" class="card stack">
            <PartOf :name="`Offer ${row + 1}, heading`" element="heading" as="h2" look="h3">{{
              offer.title
            }}</PartOf>
            <PartOf :name="`Offer ${row + 1}, text`" element="text" look="text">{{
              offer.text
            }}</PartOf>
            <PartOf :name="`Offer ${row + 1}, link`" element="link" as="a" look="text" href="#"
              >Read more</PartOf
            >
          </StandOn>
        </div>
      </div>
    </StandOn>
    <StandOn section="story">
      <div class="wide pad halves">
        <div class="stack">
          <PartOf name="Story’s heading" element="heading" as="h2" look="h2"
            >It began with a borrowed key</PartOf
          >
          <PartOf name="Story’s text" element="text" look="text"
            >Nobody had opened the door in eleven years. We swept, we mended the roof, and on the
            first evening forty people stood in the yard. They still come, and they bring their
            friends.</PartOf
          >
          <PartOf name="Story’s link" element="link" as="a" look="text" href="#"
            >read how it went on</PartOf
          >
        </div>
        <div class="stack">
          <PartOf name="Story’s line" element="line" as="hr" class="rule" />
          <PartOf name="Story’s figure" element="heading" look="h1">11,400</PartOf>
          <PartOf name="Story’s caption" element="quiet text" look="small"
            >guests since the spring of the first year, most of them twice</PartOf
          >
          <PartOf name="Story’s second line" element="line" as="hr" class="rule" />
        </div>
      </div>
    </StandOn>
    <StandOn section="voice">
      <div class="wide pad stack">
        <PartOf name="Voice’s quote" element="heading" as="blockquote" look="h2" class="measure"
          >I came for an hour and went home with the last bus.</PartOf
        >
        <PartOf name="Voice’s name" element="quiet text" look="small"
          >Ines, who came for the third time</PartOf
        >
        <PartButton name="Voice’s button">Give it as a present</PartButton>
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
