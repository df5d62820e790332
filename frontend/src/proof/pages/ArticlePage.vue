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
const FURTHER = { cards: 'are-cards', list: 'are-listed', lead: 'are-led' } as const
const article = computed(() => context.value.copy.article)
</script>

<template>
  <PageHead />
  <main>
    <StandOn section="title">
      <div class="titled" :class="`is-${article.layout.title}`">
        <div class="stack">
          <PartOf name="Date" element="quiet text" look="small" class="kicker">{{
            article.date
          }}</PartOf>
          <PartOf name="Title" element="heading" as="h1" look="h1">{{ article.title }}</PartOf>
          <PartOf name="Standfirst" element="text" look="text" class="measure">{{
            article.standfirst
          }}</PartOf>
        </div>
        <PagePicture name="Title’s picture" :scene="article.scene" own />
      </div>
    </StandOn>
    <StandOn section="body">
      <div class="reading wide pad stack" :class="`is-${article.layout.body}`">
        <p>
          <PartOf name="First paragraph" element="text" as="span" look="text">{{
            article.first
          }}</PartOf>{{ ' ' }}
          <PartOf name="Link in a text" element="link" as="a" look="text" href="#">{{
            article.link
          }}</PartOf>
          {{ ' ' }}
          <PartOf name="First paragraph, its end" element="text" as="span" look="text">{{
            article.after
          }}</PartOf>
        </p>
        <PartOf name="Section’s heading" element="heading" as="h2" look="h2">{{
          article.heading
        }}</PartOf>
        <PartOf name="Second paragraph" element="text" look="text">{{ article.second }}</PartOf>
        <StandOn as="div" ground="secondary" class="pull">
          <PartOf name="Quote" element="heading" as="blockquote" look="h2">{{
            article.quote
          }}</PartOf>
        </StandOn>
        <PartOf name="Small heading" element="heading" as="h3" look="h3">{{
          article.small
        }}</PartOf>
        <PartOf name="Third paragraph" element="text" look="text">{{ article.third }}</PartOf>
        <PartOf name="Line above the note" element="line" as="hr" class="rule" />
        <PartOf name="Note to the text" element="quiet text" look="small">{{
          article.note
        }}</PartOf>
      </div>
    </StandOn>
    <StandOn section="further">
      <div class="wide pad stack">
        <div class="row over-line">
          <PartOf name="Read on, heading" element="heading" as="h2" look="h2">Read on</PartOf>
          <PartButton name="Read on, button" class="push">All the stories</PartButton>
        </div>
        <div class="offers" :class="FURTHER[article.layout.further]">
          <StandOn
            v-for="(one, row) in article.further"
            :key="one.title"
            as="article"
            class="offer"
          >
            <PagePicture
              v-if="one.scene"
              :name="`Further ${row + 1}, picture`"
              :scene="one.scene"
            />
            <div class="card stack">
              <PartOf :name="`Further ${row + 1}, heading`" element="heading" as="h3" look="h3">{{
                one.title
              }}</PartOf>
              <PartOf :name="`Further ${row + 1}, date`" element="quiet text" look="small">{{
                one.time
              }}</PartOf>
            </div>
          </StandOn>
        </div>
      </div>
    </StandOn>
  </main>
  <PageFoot />
</template>
