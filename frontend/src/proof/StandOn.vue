<script setup lang="ts">
import { computed } from 'vue'
import { provideGround, slug, useGround, useProofContext } from './context'

/** A section of a page on the ground it was given, or a card on a ground that tells it from its section. */
const props = withDefaults(defineProps<{ section?: string; as?: string }>(), {
  section: undefined,
  as: 'section',
})
const context = useProofContext()
const around = useGround()

const ground = computed(() => {
  const { grounds, sections } = context.value.figures
  const named = (id: string | undefined) => grounds.find((one) => one.id === id)
  if (props.section) {
    const { page } = context.value
    return named(sections.find((one) => one.page === page && one.section === props.section)?.ground)
  }
  // A card stands out from what it lies on.
  const [first, second] = grounds
  return around?.value?.id === first?.id ? second : first
})
provideGround(ground)

const variables = computed(() => {
  if (!ground.value) return {}
  const use = ground.value.elements.map((one) => [`--element-${slug(one.element)}`, one.hex])
  const series = ground.value.series.map((one, row) => [`--series-${row.toString()}`, one.hex])
  return { '--ground': ground.value.hex, ...Object.fromEntries([...use, ...series]) } as Record<
    string,
    string
  >
})
</script>

<template>
  <component :is="as" :data-ground="ground?.id" :data-section="section" :style="variables">
    <slot />
  </component>
</template>
