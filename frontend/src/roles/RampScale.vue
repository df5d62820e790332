<script setup lang="ts">
import { computed } from 'vue'
import { LEFT, TOP, xOf } from './rampLayout'
import type { Stave } from '@/api/types'

const props = defineProps<{ stave: Stave; width: number }>()

const px = (value: number) => `${value.toString()}px`
const near = computed(() => {
  const left = xOf(props.stave.near_end, props.width)
  return {
    left: px(left),
    width: px(xOf(props.stave.near_start, props.width) - left),
    top: px(TOP),
  }
})
</script>

<template>
  <div class="stripes absolute bottom-0" :style="near" aria-hidden="true"></div>
  <p class="absolute top-1 text-small text-quiet" :style="{ left: px(LEFT) }">
    on {{ stave.ground_name }}
  </p>
  <p class="absolute right-2 top-1 text-small text-quiet">darker</p>
  <div
    v-for="line in stave.lines"
    :key="line.position"
    class="absolute bottom-0 w-px bg-ink"
    :style="{ left: px(xOf(line.position, width)), top: px(TOP - 4) }"
  >
    <b class="absolute -top-4.5 -translate-x-1/2 text-[14px] leading-4 font-semibold">{{
      line.ratio
    }}</b>
  </div>
</template>
