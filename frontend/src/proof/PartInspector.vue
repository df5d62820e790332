<script setup lang="ts">
import { computed } from 'vue'
import type { ElementKind, ProofFigures } from '@/api/types'
import CopyButton from '@/take/CopyButton.vue'
import LogoNotice from './LogoNotice.vue'
import OwnWords from './OwnWords.vue'
import PicturePlace from './PicturePlace.vue'
import PictureRatio from './PictureRatio.vue'
import { roleLabel } from '@/take/roles'
import { formatNeeded, formatRatio, formatShort } from '@/ui/format'
import { figuresOf, wordsOf } from './parts'
import type { Part } from './parts'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

const props = defineProps<{
  part: Part
  proof: ProofFigures
  page: string
  element: HTMLElement | undefined
  most: number
}>()
const emit = defineEmits<{ close: [] }>()
const take = useTakeStore()
const change = useChange()

const use = computed(() => figuresOf(props.part, props.proof))
const ground = computed(() => props.proof.grounds.find((one) => one.id === props.part.ground))
const standsOn = computed(() => {
  if (props.part.kind === 'button label') return 'Button background'
  return isJudgedOnPicture.value ? 'The picture' : ground.value?.name
})
const style = computed(() => props.proof.styles.find((one) => one.style === props.part.look))
/** Of all three widths, where they differ: wide, tablet, phone. */
const sizes = computed(() => {
  const { size, tablet, phone } = style.value ?? {}
  return [...new Set([size, tablet, phone])].join(' · ')
})
/** A text over the picture: of all its pixels the worst counts. */
const isJudgedOnPicture = computed(
  () =>
    props.part.isOverPicture &&
    (props.proof.over_picture?.elements.some((one) => one.element === props.part.kind) ?? false),
)
/** Charts take their colours by rule, so that all eyes tell them apart. */
const kind = computed<ElementKind | undefined>(() =>
  ['series', 'logotype', 'disabled', 'picture'].includes(props.part.kind)
    ? undefined
    : (props.part.kind as ElementKind),
)
const roles = computed(() =>
  (take.evaluation?.measure ?? []).flatMap((cell) =>
    cell.roles.map((role) => ({
      role,
      hex: cell.hex,
      name: roleLabel(take.shown?.roles ?? [], role),
    })),
  ),
)
const EXEMPT: Readonly<Record<string, string>> = {
  logotype: 'A logotype has its own colours; WCAG 2.2 asks no ratio of it.',
  picture: 'A decorative picture. WCAG 2.2 has no requirement for its shapes.',
  disabled: 'Disabled elements are exempt: WCAG 2.2 has no requirement for them.',
}
function give(key: string | null) {
  const { ground } = props.part
  if (kind.value) void change.make({ kind: 'use', ground, element: kind.value, key })
}
</script>

<template>
  <section :aria-label="part.name">
    <div class="flex items-start gap-2">
      <h2 class="flex-1 text-title leading-tight">{{ part.name }}</h2>
      <button type="button" class="underline underline-offset-2" @click="emit('close')">
        Close
      </button>
    </div>
    <template v-if="use">
      <p class="text-quiet">
        <bdi>{{ use.name }}</bdi> on
        {{
          part.kind === 'button label'
            ? 'its button'
            : isJudgedOnPicture
              ? 'the picture'
              : ground?.name
        }}
      </p>
      <OwnWords
        v-if="element?.dataset.says"
        :page="element.dataset.says"
        :part="part.name"
        :usual="wordsOf(element)"
        :most="most"
      />
      <dl class="rule-list mt-2">
        <div class="flex items-center gap-2 py-1">
          <dt class="w-16">{{ part.look ? 'Text' : 'Colour' }}</dt>
          <dd class="flex flex-1 justify-end gap-2">
            <bdi>{{ use.name }}</bdi><CopyButton :value="use.hex" />
          </dd>
        </div>
        <div class="flex items-center gap-2 py-1">
          <dt class="w-16">On</dt>
          <dd class="flex flex-1 justify-end gap-2">
            <span>{{ standsOn }}</span><CopyButton :value="use.over" />
          </dd>
        </div>
        <div v-if="style" class="flex py-1">
          <dt class="w-16">Size</dt>
          <dd class="value flex-1 text-right">{{ sizes }} px, {{ style.weight }}</dd>
        </div>
        <div v-if="!use.isExempt" class="flex py-1">
          <dt class="flex-1">Needs (WCAG {{ use.criterion }})</dt>
          <dd class="value">{{ formatNeeded(use.needed) }}</dd>
        </div>
        <div v-if="!use.isExempt" class="flex py-1">
          <dt class="flex-1">{{ isJudgedOnPicture ? 'On the worst pixel' : 'Contrast' }}</dt>
          <dd>
            <b class="value" data-testid="part-ratio">{{ formatRatio(use.ratio) }}:1</b>
            <span class="ml-2 font-semibold">{{
              use.passes ? 'Passes' : `Short by ${formatShort(use.shortBy)}`
            }}</span>
          </dd>
        </div>
      </dl>
      <p v-if="use.isExempt" class="mt-2 text-quiet">
        Over a picture the label names the button; WCAG 2.2 asks no ratio of its edge.
      </p>
      <PictureRatio
        v-if="isJudgedOnPicture && !proof.over_picture?.is_automatic"
        :style="style"
        :use="use"
        :element="element"
      />
      <template v-if="kind">
        <p v-if="use.changed" class="mt-3">
          You changed this. Automatic would be {{ use.byRuleName }}.
          <button type="button" class="underline underline-offset-2" @click="give(null)">
            Reset to automatic
          </button>
        </p>
        <h3 class="mt-3 text-quiet">
          Give every {{ part.kind }} on {{ ground?.name }} another role
        </h3>
        <div class="mt-1.5 flex flex-wrap gap-1.5">
          <button
            v-for="one in roles"
            :key="one.role"
            type="button"
            class="flex items-center gap-1.5 border bg-sheet pr-2 font-semibold hover:bg-surround"
            :class="one.role === use.key ? 'border-ink' : 'border-hair'"
            :aria-pressed="one.role === use.key"
            @click="give(one.role)"
          >
            <span
              class="keeps-color h-6 w-6 border-r border-hair"
              :style="{ backgroundColor: one.hex }"
            ></span>
            {{ one.name }}
          </button>
        </div>
      </template>
      <p v-else-if="part.kind === 'series'" class="mt-3 text-quiet">
        Chart colours are automatic: from the brand’s ramps, each with enough contrast, and distinct
        in any colour vision.
      </p>
    </template>
    <p v-else class="mt-1 text-quiet">
      {{ EXEMPT[part.kind] }}
    </p>
    <PicturePlace v-if="part.kind === 'picture'" :page="page" :part="part.name" />
    <LogoNotice v-if="part.kind === 'logotype'" :proof="proof" :page="page" />
  </section>
</template>
