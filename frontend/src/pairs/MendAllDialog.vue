<script setup lang="ts">
import { computed, ref, shallowRef, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { MendedTake } from '@/api/types'
import TakePage from '@/proof/TakePage.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { formatDifference } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import type { Beginning } from '@/take/take'

const shown = defineModel<boolean>({ required: true })
const take = useTakeStore()
const mended = shallowRef<MendedTake>()
const problem = ref('')
/** What the plan was made of. */
let from: Beginning | undefined

watch(shown, async (isShown) => {
  mended.value = undefined
  problem.value = ''
  from = take.begin()
  if (!isShown || !from) return
  try {
    mended.value = await answerOf(api.POST('/api/mend-all', { body: { document: from.document } }))
  } catch (reason) {
    problem.value = explain(reason)
  }
})

const sides = computed(() =>
  mended.value && take.document
    ? [
        { name: 'Now', document: take.document },
        { name: 'Mended', document: mended.value.document },
      ]
    : [],
)

const helps = computed(() => Boolean(mended.value?.moved.length || mended.value?.texts.length))

async function apply() {
  const found = mended.value
  if (!found) return
  try {
    await take.cutBefore(from, 'Before all pairs were mended')
    take.change(found.document)
    shown.value = false
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <SheetDialog
    v-model="shown"
    wide
    title="Mend all pairs"
    description="The smallest change to free colours, weighted by their share of the page. Held colours stay."
  >
    <p v-if="problem" role="alert" class="mt-3 font-semibold">{{ problem }}</p>
    <p v-else-if="!mended" class="mt-3 text-quiet" role="status">Weighing the changes…</p>
    <template v-else>
      <p v-if="!helps" class="mt-3">No free colour could mend a pair.</p>
      <p v-else class="mt-3 font-semibold" data-testid="size">{{ mended.size }}</p>
      <div v-if="helps && take.document" class="mt-3 flex flex-wrap gap-4">
        <figure v-for="side in sides" :key="side.name">
          <figcaption class="text-quiet">{{ side.name }}</figcaption>
          <TakePage
            :document="side.document"
            :title="`The page ${side.name.toLowerCase()}`"
            :width="268"
            :height="250"
          />
        </figure>
      </div>
      <ul v-if="mended.moved.length" class="rule-list mt-3" data-testid="moved">
        <li v-for="one in mended.moved" :key="one.name" class="flex items-center gap-3 py-1.5">
          <span class="keeps-color flex border border-hair" aria-hidden="true">
            <span class="h-7 w-10" :style="{ backgroundColor: one.before }"></span>
            <span class="h-7 w-10" :style="{ backgroundColor: one.after }"></span>
          </span>
          <b class="min-w-0 flex-1 truncate font-semibold">{{ one.name }}</b>
          <span class="value">{{ one.before }} → {{ one.after }}</span>
          <span class="value text-quiet">{{ formatDifference(one.difference) }}</span>
        </li>
      </ul>
      <template v-if="mended.texts.length">
        <h3 class="mt-3 text-quiet">Texts in another role</h3>
        <ul class="rule-list" data-testid="texts">
          <li v-for="one in mended.texts" :key="one.pair" class="flex items-center gap-3 py-1.5">
            <span class="keeps-color flex border border-hair" aria-hidden="true">
              <span class="h-7 w-10" :style="{ backgroundColor: one.before_hex }"></span>
              <span class="h-7 w-10" :style="{ backgroundColor: one.after_hex }"></span>
            </span>
            <b class="min-w-0 flex-1 truncate font-semibold">{{ one.name }}</b>
            <span
              ><bdi>{{ one.before }}</bdi> → <bdi>{{ one.after }}</bdi></span
            >
          </li>
        </ul>
      </template>
      <div v-if="mended.impossible.length" class="mt-3 border border-ink p-2">
        <h3>Still failing</h3>
        <p v-for="text in mended.impossible" :key="text" class="mt-1">{{ text }}</p>
      </div>
    </template>
    <div class="mt-4 flex gap-2">
      <button
        v-if="!mended || helps"
        type="button"
        class="button-solid"
        :disabled="!mended"
        @click="apply"
      >
        Apply all
      </button>
      <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
    </div>
  </SheetDialog>
</template>
