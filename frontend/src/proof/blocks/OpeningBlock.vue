<script setup lang="ts">
import { computed } from 'vue'
import BannerPicture from '@/proof/BannerPicture.vue'
import { useProofContext } from '@/proof/context'
import PagePicture from '@/proof/PagePicture.vue'
import StandOn from '@/proof/StandOn.vue'
import AppWindow from './AppWindow.vue'
import OpeningText from './OpeningText.vue'

/** The opening of a home page, composed as its voice has it; the brand’s own picture may lie behind. */
const context = useProofContext()
const opening = computed(() => context.value.copy.home.opening)
const behind = computed(() =>
  context.value.settings.picture_place === 'behind' ? context.value.picture : undefined,
)
</script>

<template>
  <StandOn section="opening">
    <BannerPicture v-if="behind" :picture="behind">
      <div class="wide pad"><OpeningText over-picture /></div>
    </BannerPicture>
    <div v-else-if="opening.layout === 'window'" class="opening is-window">
      <div class="wide pad halves">
        <OpeningText />
        <AppWindow />
      </div>
    </div>
    <div v-else class="opening" :class="`is-${opening.layout}`">
      <div class="opening-side"><OpeningText /></div>
      <PagePicture name="Opening’s picture" :scene="opening.scene" own />
    </div>
  </StandOn>
</template>
