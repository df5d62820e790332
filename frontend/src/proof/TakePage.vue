<script setup lang="ts">
import type { TakeDocument } from '@/api/types'
import ProofFrame from './ProofFrame.vue'
import { useContext } from './useContext'
import { useProof } from './useProof'

/** A sample page in the colours of a document, small: to see a change before it is made. */
const props = withDefaults(
  defineProps<{
    document: TakeDocument
    title: string
    page?: string
    width?: number
    height?: number
  }>(),
  { page: 'home', width: 300, height: 360 },
)
/** Of the page's own window: a narrow one, so that type stays large enough to be judged. */
const WINDOW = 560

const { figures } = useProof(() => props.document)
const context = useContext(
  () => props.document,
  () => figures.value,
  () => props.page,
)
</script>

<template>
  <div class="border border-ink" :style="{ width: `${width + 2}px`, height: `${height + 2}px` }">
    <ProofFrame
      v-if="context"
      :context="context"
      :title="title"
      :width="WINDOW"
      :scale="width / WINDOW"
      :height="height"
    />
  </div>
</template>
