<script setup lang="ts">
import { ref } from 'vue'
import PictureLoupe from './PictureLoupe.vue'
import PictureRegion from './PictureRegion.vue'
import PictureTools from './PictureTools.vue'
import type { PictureTool } from './PictureTools.vue'
import type { Region, Source, SourceReading } from '@/api/types'
import type { Square } from './useLoupe'

defineProps<{ source: Source; isOver: boolean; leaveOutGround: boolean }>()
const emit = defineEmits<{
  read: [changes: Partial<SourceReading>]
  pick: [hex: string, name: string]
  'update:leaveOutGround': [value: boolean]
}>()

const tool = ref<PictureTool>('pick')
const square = ref<Square>(1)

const setRegion = (region: Region | null) => {
  emit('read', { count: null, region })
}
</script>

<template>
  <div
    class="keeps-color relative flex h-74 flex-none items-center justify-center border bg-plate"
    :class="isOver ? 'border-2 border-dashed border-ink' : 'border-ink'"
  >
    <div class="relative">
      <img
        :key="source.id"
        :src="`/api/sources/${source.id}/preview`"
        :alt="`The picture ${source.name}`"
        class="max-h-68 max-w-full"
        draggable="false"
      />
      <PictureLoupe
        v-if="tool === 'pick'"
        :source-id="source.id"
        :square="square"
        @pick="(hex, name) => emit('pick', hex, name)"
      />
      <PictureRegion v-else :region="source.settings.region ?? null" @change="setRegion" />
    </div>
  </div>
  <PictureTools
    v-if="source.image"
    :key="source.id"
    v-model:tool="tool"
    v-model:square="square"
    :image="source.image"
    :settings="source.settings"
    :leave-out-ground="leaveOutGround"
    @read="emit('read', $event)"
    @update:leave-out-ground="emit('update:leaveOutGround', $event)"
  />
</template>
