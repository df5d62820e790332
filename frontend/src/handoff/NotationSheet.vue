<script setup lang="ts">
import { computed } from 'vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { useUnanswered } from '@/ui/useAnswer'
import { useCopy } from '@/ui/useCopy'
import { useNotations } from '@/take/useNotations'

/** One value in every notation; a click copies, a mark says which one a click elsewhere copies. */
const { open, known, chosen } = useNotations()
const { copyValue, isCopied } = useCopy()
const { problem, askAgain } = useUnanswered()
const isShown = computed({
  get: () => open.value !== undefined,
  set: (value) => {
    if (!value) open.value = undefined
  },
})
const value = computed(() => known.value.get(open.value ?? ''))
</script>

<template>
  <SheetDialog v-model="isShown" :title="`${open ?? ''} in every notation`" wide>
    <div class="keeps-color mt-2 h-10 border border-ink" :style="{ backgroundColor: open }"></div>
    <ul v-if="value" class="rule-list mt-2">
      <li v-for="one in value.written" :key="one.notation" class="flex items-center gap-2 py-1">
        <span class="w-24 text-quiet">{{ one.notation }}</span>
        <button
          type="button"
          class="value flex-1 text-left hover:underline"
          @click="copyValue(one.text)"
        >
          {{ one.text }}
        </button>
        <span v-if="isCopied(one.text)" class="text-small text-quiet">copied</span>
        <button
          type="button"
          class="underline underline-offset-2"
          :aria-pressed="chosen === one.notation"
          @click="chosen = one.notation"
        >
          {{ chosen === one.notation ? 'copied on click' : 'copy this on click' }}
        </button>
      </li>
      <li v-if="value.printed" class="flex items-center gap-2 py-1">
        <span class="w-24 text-quiet">CMYK</span>
        <button
          type="button"
          class="value flex-1 text-left hover:underline"
          @click="copyValue(value.printed.text)"
        >
          {{ value.printed.text }}
        </button>
        <span>{{ value.printed.in_gamut ? 'in gamut' : 'out of gamut' }}</span>
      </li>
    </ul>
    <NoticeBar v-else-if="problem" class="mt-2" :text="problem" again @again="askAgain()" />
    <p v-else class="mt-2 text-quiet">Loading…</p>
    <button type="button" class="button mt-3" @click="isShown = false">Close</button>
  </SheetDialog>
</template>
