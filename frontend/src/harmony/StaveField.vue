<script setup lang="ts">
import { computed } from 'vue'
import { xOf, yOf } from './layout'
import type { Field } from './layout'
import type { Stave } from '@/api/types'
import { formatFixed } from '@/ui/format'

const props = defineProps<{
  stave: Stave
  field: Field
  greys: readonly string[]
  chroma: number
  hue: number
}>()

const size = computed(() => ({
  width: props.field.right - props.field.left,
  height: props.field.bottom - props.field.top,
}))
const px = (value: number) => `${value}px`
/** The picture begins at hue 0 and repeats, so that the anchor's hue stands in the middle. */
const picture = computed(() => ({
  left: px(props.field.left),
  top: px(props.field.top),
  width: px(size.value.width),
  height: px(size.value.height),
  backgroundImage: `url(/api/stave/field?chroma=${formatFixed(props.chroma, 2)})`,
  backgroundSize: `${size.value.width}px ${size.value.height}px`,
  backgroundPositionX: px(xOf(0, props.hue, props.field) - props.field.left),
}))
const near = computed(() => ({
  left: px(props.field.lane.left),
  width: px(props.field.right - props.field.lane.left),
  top: px(yOf(props.stave.near_end, props.field)),
  height: px(yOf(props.stave.near_start, props.field) - yOf(props.stave.near_end, props.field)),
}))
const NAMES: Readonly<Record<string, string>> = {
  '3': 'large text',
  '4.5': 'body text',
  '7': 'enhanced',
}
</script>

<template>
  <div class="keeps-color absolute bg-repeat-x opacity-50" :style="picture"></div>
  <div
    class="keeps-color absolute flex flex-col-reverse"
    :style="{
      left: px(field.lane.left),
      width: px(field.lane.width),
      top: px(field.top),
      height: px(size.height),
    }"
    aria-hidden="true"
  >
    <span
      v-for="grey in greys"
      :key="grey"
      class="min-h-0 flex-1 opacity-60"
      :style="{ backgroundColor: grey }"
    ></span>
  </div>
  <div
    class="stripes absolute transition-[top,height] duration-200 ease-out"
    :style="near"
    aria-hidden="true"
  ></div>
  <div
    v-for="line in stave.lines"
    :key="`${line.ratio}${line.position < stave.near_start + 0.001}`"
    class="absolute right-2 left-2 transition-[top,height] duration-200 ease-out"
    :style="{ top: px(yOf(line.position, field)) }"
  >
    <div class="absolute right-0 h-px bg-ink" :style="{ left: px(field.lane.left - 14) }"></div>
    <p class="absolute -top-4.5 left-0 leading-4">
      <b class="text-[14px] font-semibold">{{ line.ratio }}</b><span class="text-small">:1</span>
    </p>
    <p class="absolute top-0.5 left-0 w-20 max-[600px]:w-14 text-[11px] leading-3 text-quiet">
      {{ NAMES[`${line.ratio}`] }}
    </p>
  </div>
</template>
