<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import SwatchInspector from '@/components/swatch/SwatchInspector.vue'
import { useSelection } from '@/composables/useSelection'
import { useTakeStore } from '@/stores/take'

const take = useTakeStore()
const router = useRouter()
const { selected, select } = useSelection('swatch')
const swatch = computed(() => take.shown?.swatches.find((one) => one.id === selected.value))

function openPair(id: string) {
  void router.push({ name: 'pairs', query: { pair: id } })
}
</script>

<template>
  <aside
    aria-label="Inspector"
    class="relative overflow-y-auto border-l border-hair bg-sheet p-4"
    tabindex="0"
  >
    <SwatchInspector v-if="swatch" :swatch="swatch" @close="select(undefined)" @pair="openPair" />
    <slot v-else />
  </aside>
</template>
