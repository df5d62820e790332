<script setup lang="ts">
import { computed } from 'vue'
import type { Component } from 'vue'
import CallBlock from '@/proof/blocks/CallBlock.vue'
import HoursBlock from '@/proof/blocks/HoursBlock.vue'
import MenuBlock from '@/proof/blocks/MenuBlock.vue'
import NumbersBlock from '@/proof/blocks/NumbersBlock.vue'
import OffersBlock from '@/proof/blocks/OffersBlock.vue'
import OpeningBlock from '@/proof/blocks/OpeningBlock.vue'
import PricesBlock from '@/proof/blocks/PricesBlock.vue'
import ProgrammeBlock from '@/proof/blocks/ProgrammeBlock.vue'
import StepsBlock from '@/proof/blocks/StepsBlock.vue'
import StoryBlock from '@/proof/blocks/StoryBlock.vue'
import StripBlock from '@/proof/blocks/StripBlock.vue'
import VoiceBlock from '@/proof/blocks/VoiceBlock.vue'
import { useProofContext } from '@/proof/context'
import PageFoot from '@/proof/PageFoot.vue'
import PageHead from '@/proof/PageHead.vue'

/** The home page: the sections that the core gives its voice, in their order. */
const BLOCKS: Readonly<Record<string, Component>> = {
  opening: OpeningBlock,
  offers: OffersBlock,
  menu: MenuBlock,
  programme: ProgrammeBlock,
  steps: StepsBlock,
  prices: PricesBlock,
  hours: HoursBlock,
  numbers: NumbersBlock,
  story: StoryBlock,
  voice: VoiceBlock,
  call: CallBlock,
}
const context = useProofContext()
const blocks = computed(() =>
  context.value.figures.sections
    .filter((one) => one.page === 'home')
    .flatMap(({ section }) => {
      const block = BLOCKS[section]
      return block ? [{ section, block }] : []
    }),
)
</script>

<template>
  <StripBlock />
  <PageHead />
  <main>
    <component :is="block" v-for="{ section, block } in blocks" :key="section" />
  </main>
  <PageFoot />
</template>
