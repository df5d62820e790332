<script setup lang="ts">
import { computed } from 'vue'
import type { Figure, ProofFigures } from '@/api/types'
import CopyButton from '@/ui/CopyButton.vue'
import PictureRatio from './PictureRatio.vue'
import { roleLabel } from '@/take/roles'
import { wear } from './settings'
import { formatNeeded, formatRatio, formatShort } from '@/ui/format'
import { figuresOf } from './parts'
import type { Part } from './parts'
import { useTakeStore } from '@/take/take'

const props = defineProps<{ part: Part; proof: ProofFigures; element: Element | undefined }>()
const emit = defineEmits<{ close: [] }>()
const take = useTakeStore()

const worn = computed(() => figuresOf(props.part, props.proof))
const ground = computed(() => props.proof.grounds.find((one) => one.id === props.part.ground))
const style = computed(() => props.proof.styles.find((one) => one.style === props.part.look))
/** Charts take their colours by rule, so that all eyes tell them apart. */
const figure = computed<Figure | undefined>(() =>
  ['series', 'logotype', 'disabled'].includes(props.part.figure)
    ? undefined
    : (props.part.figure as Figure),
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
function give(key: string | null) {
  if (take.document && figure.value)
    take.change(wear(take.document, props.part.ground, figure.value, key))
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
    <template v-if="worn">
      <p class="text-quiet">
        {{ worn.name }} on {{ part.figure === 'button label' ? 'its button' : ground?.name }}
      </p>
      <dl class="rule-list mt-2">
        <div class="flex items-center gap-2 py-1">
          <dt class="w-16">{{ part.look ? 'Text' : 'Colour' }}</dt>
          <dd class="flex flex-1 justify-end gap-2">
            <span>{{ worn.name }}</span><CopyButton :value="worn.hex" />
          </dd>
        </div>
        <div class="flex items-center gap-2 py-1">
          <dt class="w-16">On</dt>
          <dd class="flex flex-1 justify-end gap-2">
            <span>{{
              part.figure === 'button label' ? 'Button’s face' : ground?.name
            }}</span><CopyButton :value="worn.over" />
          </dd>
        </div>
        <div v-if="style" class="flex py-1">
          <dt class="w-16">Size</dt>
          <dd class="value flex-1 text-right">{{ style.size }} px, {{ style.weight }}</dd>
        </div>
        <div class="flex py-1">
          <dt class="flex-1">Needs, by {{ worn.criterion }}</dt>
          <dd class="value">{{ formatNeeded(worn.needed) }}</dd>
        </div>
        <div class="flex py-1">
          <dt class="flex-1">Has</dt>
          <dd>
            <b class="value" data-testid="part-ratio">{{ formatRatio(worn.ratio) }} : 1</b>
            <span class="ml-2 font-semibold">{{
              worn.passes ? 'Passes' : `Short by ${formatShort(worn.needed - worn.ratio)}`
            }}</span>
          </dd>
        </div>
      </dl>
      <PictureRatio
        v-if="part.isOverPicture && part.look"
        :style="style"
        :worn="worn"
        :element="element"
      />
      <template v-if="figure">
        <p v-if="worn.changed" class="mt-3">
          Changed by you; the rule gives {{ worn.byRuleName }}.
          <button type="button" class="underline underline-offset-2" @click="give(null)">
            Back to the rule
          </button>
        </p>
        <h3 class="mt-3 text-quiet">
          Give every {{ part.figure }} on {{ ground?.name }} another role
        </h3>
        <div class="mt-1.5 flex flex-wrap gap-1.5">
          <button
            v-for="one in roles"
            :key="one.role"
            type="button"
            class="flex items-center gap-1.5 border bg-sheet pr-2 font-semibold hover:bg-surround"
            :class="one.role === worn.key ? 'border-ink' : 'border-hair'"
            :aria-pressed="one.role === worn.key"
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
      <p v-else-if="part.figure === 'series'" class="mt-3 text-quiet">
        Charts take their colours by rule: from the brand’s ramps, each clear of its ground, and
        told apart by all eyes.
      </p>
    </template>
    <p v-else class="mt-1 text-quiet">
      {{
        part.figure === 'logotype'
          ? 'A logotype has its own colours; WCAG 2.2 asks no ratio of it.'
          : 'What is disabled is excepted: WCAG 2.2 asks no ratio of it.'
      }}
    </p>
  </section>
</template>
