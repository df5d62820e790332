<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import StepInspector from '@/take/StepInspector.vue'
import SwatchInspector from '@/take/SwatchInspector.vue'
import ShareField from './ShareField.vue'
import { useSelection } from '@/take/useSelection'
import { targetFrom } from '@/take/roles'
import { useTakeStore } from '@/take/take'

/** The swatch or step that is chosen, in depth. */
const take = useTakeStore()
const router = useRouter()
const { selected, select } = useSelection('swatch')
const target = computed(() => targetFrom(selected.value ?? ''))
const swatch = computed(() =>
  target.value.step === null
    ? take.shown?.swatches.find((one) => one.id === target.value.swatch)
    : undefined,
)

function openPair(id: string) {
  void router.push({ name: 'pairs', query: { pair: id } })
}
</script>

<template>
  <SwatchInspector v-if="swatch" :swatch="swatch" @close="select(undefined)" @pair="openPair">
    <ShareField v-if="selected" :key="selected" :color-key="selected" />
  </SwatchInspector>
  <StepInspector
    v-else-if="target.step !== null"
    :target="target"
    @close="select(undefined)"
    @pair="openPair"
    @owner="select"
  >
    <ShareField v-if="selected" :key="selected" :color-key="selected" />
  </StepInspector>
</template>
