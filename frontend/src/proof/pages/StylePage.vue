<script setup lang="ts">
import { computed } from 'vue'
import GroundParts from '@/proof/blocks/GroundParts.vue'
import { useProofContext } from '@/proof/context'
import { faceName } from '@/proof/pageFonts'
import PageHead from '@/proof/PageHead.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** A style guide: the colours, the sizes of type, and every part on every ground. */
const context = useProofContext()
const SPECIMENS = [
  ['h1', 'h2'],
  ['h2', 'h3'],
  ['h3', 'h4'],
] as const
const sizes = computed(
  () => new Map(context.value.figures.styles.map((one) => [one.style, one] as const)),
)
const said = (style: 'h1' | 'h2' | 'h3' | 'text' | 'small' | 'label') => {
  const one = sizes.value.get(style)
  return one ? `${one.size.toString()} px, ${one.weight.toString()}` : ''
}
const grounds = computed(() =>
  context.value.figures.sections.filter(
    (one) => one.page === 'style' && one.section.startsWith('on-'),
  ),
)
const groundOf = (id: string) => context.value.figures.grounds.find((one) => one.id === id)
/** A ground whose colour is missing would only show another one twice. */
const shown = computed(() =>
  grounds.value.filter(
    (one, row) => grounds.value.findIndex(({ ground }) => ground === one.ground) === row,
  ),
)
</script>

<template>
  <PageHead />
  <main>
    <StandOn section="colors">
      <div class="wide pad stack">
        <PartOf name="Guide’s heading" element="heading" as="h1" look="h1">{{
          context.brand
        }}</PartOf>
        <PartOf name="Guide’s text" element="text" look="text"
          >Which colours go together, and how they read.</PartOf
        >
        <ul class="chips">
          <li v-for="one in context.figures.grounds" :key="one.id">
            <StandOn as="div" :ground="one.id" exactly class="chip-face">
              <PartOf :name="`${one.name}, name`" element="text" as="span" look="label">{{
                groundOf(one.id)?.name
              }}</PartOf>
              <PartOf :name="`${one.name}, value`" element="text" as="span" look="small">{{
                one.hex
              }}</PartOf>
            </StandOn>
          </li>
        </ul>
      </div>
    </StandOn>
    <StandOn section="type">
      <div class="wide pad stack">
        <PartOf name="Type’s heading" element="heading" as="h2" look="h2"
          >{{ faceName(context.figures.faces.heading) }} and
          {{ faceName(context.figures.faces.text) }}</PartOf
        >
        <div v-for="[style, tag] in SPECIMENS" :key="style" class="specimen">
          <PartOf :name="`Specimen ${style}`" element="heading" :as="tag" :look="style">{{
            context.copy.home.opening.headline
          }}</PartOf>
          <PartOf :name="`Size of ${style}`" element="quiet text" look="small">{{
            said(style)
          }}</PartOf>
        </div>
        <div class="specimen">
          <PartOf name="Specimen text" element="text" look="text">{{
            context.copy.article.second
          }}</PartOf>
          <PartOf name="Size of text" element="quiet text" look="small">{{ said('text') }}</PartOf>
        </div>
        <div class="specimen">
          <PartOf name="Specimen small" element="quiet text" look="small">{{
            context.copy.foot.small
          }}</PartOf>
          <PartOf name="Size of small" element="quiet text" look="small">{{
            said('small')
          }}</PartOf>
        </div>
      </div>
    </StandOn>
    <div class="style-grounds">
      <GroundParts
        v-for="one in shown"
        :key="one.section"
        :section="one.section"
        :name="groundOf(one.ground)?.name ?? ''"
      />
    </div>
  </main>
</template>
