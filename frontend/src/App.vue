<script setup lang="ts">
import { useOutdated } from '@/api/build'
import { useLostView } from '@/frame/useLostView'
import { useWindowTitle } from '@/frame/useWindowTitle'
import { useWorkspace } from '@/ui/useWorkspace'
import { useKeptFocus } from '@/ui/useKeptFocus'
import NoticeBar from '@/ui/NoticeBar.vue'

useWorkspace()
useKeptFocus()
useWindowTitle()
const lostView = useLostView()
const { lost } = lostView
const build = useOutdated()
const { isOutdated } = build
function renew() {
  location.reload()
}
</script>

<template>
  <RouterView />
  <NoticeBar
    v-if="lost"
    class="fixed inset-x-4 bottom-32 z-50 mx-auto max-w-180"
    text="This view could not be loaded: there is no connection, or Tonada was brought up to date meanwhile. Nothing is lost."
    @dismiss="lostView.dismiss()"
  >
    <button type="button" class="button-solid" @click="lostView.reload()">Reload</button>
  </NoticeBar>
  <NoticeBar
    v-else-if="isOutdated"
    class="fixed inset-x-4 bottom-32 z-50 mx-auto max-w-180"
    text="There is a new version of Tonada. Reload when it suits you: what isn’t saved yet stays."
    @dismiss="build.dismiss()"
  >
    <button type="button" class="button-solid" @click="renew">Reload</button>
  </NoticeBar>
</template>
