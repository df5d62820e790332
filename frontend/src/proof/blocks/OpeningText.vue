<script setup lang="ts">
import { computed } from 'vue'
import { useGround, useProofContext } from '@/proof/context'
import PartButton from '@/proof/PartButton.vue'
import PartOf from '@/proof/PartOf.vue'
import StandOn from '@/proof/StandOn.vue'

/** The words of an opening. */
const props = defineProps<{ overPicture?: boolean }>()
const context = useProofContext()
const opening = computed(() => context.value.copy.home.opening)

const around = useGround()
/** Where neither the button nor the ground is the accent, the line above the heading stands on it. */
const isTagged = computed(() => {
  const on = around?.value
  const accent = context.value.figures.grounds.find((one) => one.id === 'accent')
  if (!accent || !on || props.overPicture || on.clashes.includes(accent.id)) return false
  const button = on.elements.find((one) => one.element === 'button background')
  return button?.hex !== accent.hex && on.hex !== accent.hex
})
</script>

<template>
  <div class="opening-text">
    <div class="stack">
      <p v-if="isTagged">
        <StandOn as="span" ground="accent" class="tag"
          ><PartOf name="Opening’s kicker" element="text" as="span" look="small">{{
            opening.kicker
          }}</PartOf></StandOn
        >
      </p>
      <!-- Over a picture nothing can be quiet. -->
      <PartOf
        v-else
        name="Opening’s kicker"
        :element="overPicture ? 'text' : 'quiet text'"
        look="small"
        class="kicker"
        >{{ opening.kicker }}</PartOf
      >
      <PartOf name="Opening’s heading" element="heading" as="h1" look="h1">{{
        opening.headline
      }}</PartOf>
    </div>
    <div class="stack">
      <PartOf name="Opening’s paragraph" element="text" look="text" class="measure">{{
        opening.text
      }}</PartOf>
      <div class="row actions">
        <PartButton name="Opening’s button">{{ opening.button }}</PartButton>
        <PartOf
          v-if="opening.second"
          name="Opening’s second button"
          element="text"
          as="a"
          look="label"
          class="button outlined"
          href="#"
          >{{ opening.second }}</PartOf
        >
      </div>
      <p v-if="opening.note && !overPicture">
        <PartOf name="Opening’s mark" element="success" as="span" class="mark">●</PartOf>
        <PartOf name="Opening’s note" element="text" as="span" look="small">{{
          opening.note
        }}</PartOf>
      </p>
    </div>
  </div>
</template>
