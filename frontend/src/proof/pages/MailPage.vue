<script setup lang="ts">
import { computed } from 'vue'
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import BrandMark from '@/proof/BrandMark.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

const context = useProofContext()
const mail = computed(() => context.value.copy.mail)
</script>

<template>
  <StandOn section="frame" as="main">
    <div class="letter pad">
      <StandOn section="letter">
        <div class="card"><BrandMark /></div>
        <PagePicture name="Letter’s picture" :scene="mail.scene" own />
        <div class="card stack">
          <PartOf name="Letter’s heading" element="heading" as="h1" look="h2">{{
            mail.heading
          }}</PartOf>
          <PartOf name="Letter’s text" element="text" look="text">{{ mail.text }}</PartOf>
          <PartOf name="Letter’s line" element="line" as="hr" class="rule" />
          <template v-for="(one, row) in mail.news" :key="row">
            <PartOf :name="`News ${row + 1}, heading`" element="heading" as="h2" look="h3">{{
              one.title
            }}</PartOf>
            <p>
              <PartOf :name="`News ${row + 1}, text`" element="text" as="span" look="text">{{
                one.text
              }}</PartOf>{{ ' ' }}
              <PartOf :name="`News ${row + 1}, link`" element="link" as="a" look="text" href="#"
                >More of it</PartOf
              >
            </p>
          </template>
        </div>
      </StandOn>
      <StandOn section="call">
        <div class="card stack">
          <PartOf name="Call’s heading" element="heading" as="h2" look="h3">{{
            mail.offer
          }}</PartOf>
          <PartOf name="Call’s text" element="text" look="text">{{ mail.how }}</PartOf>
          <PartButton name="Call’s button">{{ mail.button }}</PartButton>
        </div>
      </StandOn>
      <StandOn section="foot" as="footer">
        <div class="card">
          <p>
            <PartOf name="Foot’s text" element="quiet text" as="span" look="small"
              >You get this because you asked for it in March.</PartOf
            >{{ ' ' }}
            <PartOf name="Foot’s link" element="link" as="a" look="small" href="#"
              >Unsubscribe</PartOf
            >{{ ' ' }}
            <PartOf name="Foot’s text, its end" element="quiet text" as="span" look="small"
              >with one click.</PartOf
            >
          </p>
        </div>
      </StandOn>
    </div>
  </StandOn>
</template>
