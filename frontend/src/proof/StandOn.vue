<script setup lang="ts">
import { computed } from 'vue'
import { provideGround, slug, useGround, useProofContext } from './context'

/**
 * A section of a page on the ground it was given; or a part of one, on a ground of its own: the named
 * one where the take has it and the two can touch (“same” for the one around), else one that tells it from its
 * section. `exactly` takes the named one whatever its section has: what it is labelled with is then true.
 */
const props = withDefaults(
  defineProps<{ section?: string; ground?: string; as?: string; exactly?: boolean }>(),
  { section: undefined, ground: undefined, as: 'section' },
)
const context = useProofContext()
const around = useGround()

const stands = computed(() => {
  const { grounds, sections } = context.value.figures
  const named = (id: string | undefined) => grounds.find((one) => one.id === id)
  if (props.section) {
    const { page } = context.value
    return named(sections.find((one) => one.page === page && one.section === props.section)?.ground)
  }
  if (props.ground === 'same') return around?.value
  const wanted = named(props.ground)
  const on = around?.value
  const isApart = wanted && wanted.id !== on?.id && !on?.clashes.includes(wanted.id)
  if (wanted && (props.exactly || isApart)) return wanted
  // A card stands out from what it lies on.
  const [first, second] = grounds
  return around?.value?.id === first?.id ? second : first
})
provideGround(stands)

const variables = computed(() => {
  if (!stands.value) return {}
  const use = stands.value.elements.map((one) => [`--element-${slug(one.element)}`, one.hex])
  const series = stands.value.series.map((one, row) => [`--series-${row.toString()}`, one.hex])
  return { '--ground': stands.value.hex, ...Object.fromEntries([...use, ...series]) } as Record<
    string,
    string
  >
})
</script>

<template>
  <component :is="as" :data-ground="stands?.id" :data-section="section" :style="variables">
    <slot />
  </component>
</template>
