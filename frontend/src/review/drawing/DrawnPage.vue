<script setup lang="ts">
import { computed, watchPostEffect } from 'vue'
import type { ProofContext } from '@/proof/context'
import { rootVariables } from '@/proof/rootVariables'
import SamplePage from '@/proof/SamplePage.vue'
import { giveFonts, letterWeights } from '@/proof/pageFonts'
import { ownTextsOf } from '@/proof/ownTexts'
import { mainPicture, placedPictures } from '@/proof/placedPictures'
import { copyOf } from '@/proof/voices'
import type { Drawn } from './drawn'

/** A sample page in a window of its own, from nothing but what was kept of it. */
const props = defineProps<{ drawn: Drawn }>()
const context = computed<ProofContext>(() => {
  const { page, brand, settings, figures, logo, picture, pictures } = props.drawn
  const copy = copyOf(figures.voice, brand)
  return {
    brand,
    copy,
    page,
    figures,
    settings,
    logo,
    picture: mainPicture(settings, figures, picture),
    placed: placedPictures(settings, figures, (source) => pictures?.[source]),
    layer: figures.layer ?? undefined,
    texts: ownTextsOf(figures.texts, figures),
    fonts: props.drawn.fonts ?? [],
  }
})
watchPostEffect(() => {
  const letters = (props.drawn.letters ?? []).map(({ family, weight, source }) => ({
    family,
    weights: letterWeights(weight),
    source,
  }))
  giveFonts(document, [...letters, ...context.value.fonts])
  const { language, direction } = context.value.figures.spoken
  document.documentElement.lang = language
  document.documentElement.dir = direction
  for (const [name, value] of Object.entries(rootVariables(context.value)))
    document.body.style.setProperty(name, value)
})
</script>

<template>
  <SamplePage :context="context" />
</template>
