<script setup lang="ts">
import { useLostView } from '@/frame/useLostView'
import { useWorkspace } from '@/frame/useWorkspace'
import NoticeBar from '@/ui/NoticeBar.vue'

useWorkspace()
const { lost, reload, dismiss } = useLostView()
</script>

<template>
  <RouterView />
  <NoticeBar
    v-if="lost"
    class="fixed inset-x-4 bottom-32 z-50 mx-auto max-w-180"
    text="This view could not be loaded: there is no connection, or Tonada was brought up to date meanwhile. Nothing is lost."
    @dismiss="dismiss"
  >
    <button type="button" class="button-solid" @click="reload">Reload</button>
  </NoticeBar>
</template>
