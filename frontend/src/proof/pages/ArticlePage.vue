<script setup lang="ts">
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const FURTHER = [
  'What the fog is good for',
  'A night without a moon',
  'Why we lend out boots',
] as const
</script>

<template>
  <PageHead call="Plan a visit" />
  <main>
    <StandOn section="title">
      <div class="wide pad stack">
        <PartOf name="Date" element="quiet text" look="small">Tuesday, read in six minutes</PartOf>
        <PartOf name="Title" element="heading" as="h1" look="h1" class="measure"
          >What you see when you wait twenty minutes</PartOf
        >
        <PartOf name="Standfirst" element="text" look="text" class="measure"
          >Eyes need time, and so do people. Notes on a habit that costs nothing and that hardly
          anybody has.</PartOf
        >
      </div>
    </StandOn>
    <StandOn section="body">
      <div class="reading wide pad stack">
        <PartOf name="First paragraph" element="text" look="text"
          >The first minutes are a disappointment. You stand there and see what you saw from the
          car: something dark, something less dark.
          <PartOf name="Link in a text" element="link" as="a" look="text" href="#"
            >Nobody tells you</PartOf
          >
          that this is the beginning of it and not the whole.</PartOf
        >
        <PartOf name="Section’s heading" element="heading" as="h2" look="h2"
          >The second ten minutes</PartOf
        >
        <PartOf name="Second paragraph" element="text" look="text"
          >Then the edges come. A line of trees separates from the slope, and behind it there is
          another one. You haven’t moved. What changed is you, and it is worth the cold
          feet.</PartOf
        >
        <PartOf name="Line above the quote" element="line" as="hr" class="rule" />
        <PartOf name="Quote" element="heading" as="blockquote" look="h2"
          >Whoever brings a torch sees the torch.</PartOf
        >
        <PartOf name="Line below the quote" element="line" as="hr" class="rule" />
        <PartOf name="Small heading" element="heading" as="h3" look="h3">How to practise it</PartOf>
        <PartOf name="Third paragraph" element="text" look="text"
          >Leave the telephone in the pocket; ten seconds of it cost you those twenty minutes. Sit
          down. Look a little beside the thing you want to see.</PartOf
        >
        <PartOf name="Note to the text" element="quiet text" look="small"
          >Written by the people who open the door. First printed in the autumn leaflet.</PartOf
        >
      </div>
    </StandOn>
    <StandOn section="further">
      <div class="wide pad stack">
        <PartOf name="Read on, heading" element="heading" as="h2" look="h2">Read on</PartOf>
        <div class="columns">
          <StandOn v-for="(title, row) in FURTHER" :key="row" as="article" class="card stack">
            <PartOf :name="`Further ${row + 1}, heading`" element="heading" as="h3" look="h3">{{
              title
            }}</PartOf>
            <PartOf :name="`Further ${row + 1}, date`" element="quiet text" look="small"
              >{{ row + 3 }} minutes</PartOf
            >
          </StandOn>
        </div>
        <PartButton name="Read on, button">All the stories</PartButton>
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
