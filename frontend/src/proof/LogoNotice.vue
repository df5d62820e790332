<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures } from '@/api/types'
import { formatRatio } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import { logoOn, markedSection, maskOn } from './logo'
import { setProof } from './settings'

/** Where the logo can’t be seen, or not all of it: what it is, why, and what helps. */
const props = defineProps<{ proof: ProofFigures; page: string }>()
const take = useTakeStore()

const section = computed(() => markedSection(props.proof, props.page))
const ground = computed(() => props.proof.grounds.find((one) => one.id === section.value?.ground))
const seen = computed(() => logoOn(props.proof, ground.value?.id))
const faint = computed(() => seen.value?.colors.filter((one) => !one.passes) ?? [])
const isInOne = computed(
  () => maskOn(props.proof, ground.value?.id, section.value?.section) !== undefined,
)
const isChosen = computed(() =>
  take.document?.proof.sections.some(
    (one) => one.page === props.page && one.section === section.value?.section,
  ),
)
function letItBe() {
  if (!take.document) return
  const sections = take.document.proof.sections.filter(
    (one) => one.page !== props.page || one.section !== section.value?.section,
  )
  take.change(setProof(take.document, { sections }))
}
function setInOne(logo_in_one: boolean) {
  if (take.document) take.change(setProof(take.document, { logo_in_one }))
}
</script>

<template>
  <div
    v-if="seen && ground && !seen.all_pass"
    class="mt-2 border-2 border-ink p-2"
    data-testid="logo-notice"
  >
    <template v-if="isInOne">
      <p>
        The logo is in one colour here: in its own it can’t be seen on <bdi>{{ ground.name }}</bdi>.
      </p>
      <button type="button" class="button mt-1.5" @click="setInOne(false)">As it was drawn</button>
    </template>
    <template v-else>
      <p class="font-semibold">
        {{ seen.has_vanished ? 'The logo can’t be seen' : 'Part of the logo is faint' }} on
        <bdi>{{ ground.name }}</bdi>
      </p>
      <ul class="mt-1">
        <li v-for="one in faint" :key="one.hex" class="flex items-center gap-2">
          <span
            class="keeps-color h-4 w-4 flex-none border border-hair"
            :style="{ backgroundColor: one.hex }"
          ></span>
          <span class="value">{{ one.hex }}</span>
          <span class="value ml-auto">{{ formatRatio(one.ratio) }}:1</span>
        </li>
      </ul>
      <p class="mt-1 text-small leading-snug text-quiet">
        WCAG 2.2 asks nothing of a logotype. Of graphics it asks 3:1 (1.4.11), and so does this
        warning.
      </p>
      <button v-if="isChosen" type="button" class="button mt-1.5" @click="letItBe">
        The ground on which it is seen best
      </button>
      <button v-if="seen.has_vanished" type="button" class="button mt-1.5" @click="setInOne(true)">
        In one colour where it can’t be seen
      </button>
    </template>
  </div>
</template>
