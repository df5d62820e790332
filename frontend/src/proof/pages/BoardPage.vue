<script setup lang="ts">
import { computed } from 'vue'
import BrandMark from '@/proof/BrandMark.vue'
import { useProofContext } from '@/proof/context'
import { faceName } from '@/proof/pageFonts'
import PagePicture from '@/proof/PagePicture.vue'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** The brand at one look: its logo on light and dark, its colours in their shares, its type, its tiles. */
const context = useProofContext()
const opening = computed(() => context.value.copy.home.opening)
const faces = computed(() => context.value.figures.faces)
const colors = computed(() =>
  context.value.figures.grounds.filter((one) => one.share > 0 && !one.is_own),
)
/** The first letter as people count them, of any script. */
const initial = computed(() => {
  const [first] = new Intl.Segmenter().segment(context.value.brand.trim())
  return (first?.segment ?? '').toLocaleUpperCase()
})
</script>

<template>
  <main>
    <div class="board-logos">
      <StandOn section="light" class="board-logo"><BrandMark place="light" /></StandOn>
      <StandOn section="dark" class="board-logo"><BrandMark place="dark" /></StandOn>
    </div>
    <StandOn section="colors" aria-label="Colours">
      <ul class="board-colors">
        <StandOn
          v-for="one in colors"
          :key="one.id"
          as="li"
          :ground="one.id"
          exactly
          class="board-color"
          :style="{ flexGrow: 100 * Math.max(one.share, 0.07) }"
        >
          <PartOf :name="`${one.name}, name`" element="text" look="label">{{ one.name }}</PartOf>
          <PartOf :name="`${one.name}, value`" element="text" look="small">{{ one.hex }}</PartOf>
        </StandOn>
      </ul>
    </StandOn>
    <StandOn section="type">
      <div class="wide pad halves is-top">
        <div class="stack">
          <PartOf name="Heading’s typeface" element="quiet text" look="small">{{
            faceName(faces.heading)
          }}</PartOf>
          <PartOf name="Heading" element="heading" as="h1" look="h1">{{ opening.headline }}</PartOf>
          <PartOf name="Letters of headings" element="heading" look="h3"
            >ABCDEFGHIJKLMNOPQRSTUVWXYZ 0123456789</PartOf
          >
        </div>
        <div class="stack">
          <PartOf name="Text’s typeface" element="quiet text" look="small">{{
            faceName(faces.text)
          }}</PartOf>
          <PartOf name="Text" element="text" look="text">{{ context.copy.article.second }}</PartOf>
          <PartOf name="Link" element="link" as="a" look="text" href="#">{{
            context.copy.navigation[0]
          }}</PartOf>
          <p>
            <PartButton name="Button">{{ opening.button }}</PartButton>
          </p>
        </div>
      </div>
    </StandOn>
    <StandOn section="tiles">
      <div class="wide pad board-tiles">
        <StandOn as="div" section="tile" class="board-social">
          <div class="stack">
            <BrandMark place="the tile" />
            <PartOf name="Tile’s heading" element="heading" look="h2">{{
              opening.headline
            }}</PartOf>
          </div>
          <PagePicture name="Tile’s picture" :scene="opening.scene" own />
        </StandOn>
        <div class="board-icons">
          <StandOn as="div" ground="primary" class="board-icon">
            <PartOf name="App icon" element="heading" as="span" look="h1">{{ initial }}</PartOf>
          </StandOn>
          <StandOn as="div" ground="accent" class="board-icon is-small">
            <PartOf name="Icon in a tab" element="heading" as="span" look="h3">{{
              initial
            }}</PartOf>
          </StandOn>
        </div>
      </div>
    </StandOn>
  </main>
</template>
