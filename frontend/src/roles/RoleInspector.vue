<script setup lang="ts">
import { computed } from 'vue'
import { useRouter } from 'vue-router'
import { stepAcross, stepOf } from './rampLayout'
import type { Assignment, Row, TakeChange } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import CopyButton from '@/take/CopyButton.vue'
import PairList from '@/take/PairList.vue'
import { isExtra, roleLabel, textKey } from '@/take/roles'
import { formatShare } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import { useAdvice } from '@/harmony/useAdvice'

const props = defineProps<{
  assignment: Assignment
  rows: readonly Row[]
  make: (change: TakeChange) => Promise<void>
}>()
const emit = defineEmits<{ remove: []; close: [] }>()
const take = useTakeStore()
const router = useRouter()

const name = computed(() => roleLabel(take.shown?.roles ?? [], props.assignment.role))
const row = computed(() => props.rows.find((one) => one.owner === props.assignment.swatch))
const step = computed(() => stepOf(props.rows, props.assignment))
const owners = computed(() => props.rows.map((one) => ({ value: one.owner, label: one.name })))
const steps = computed(() =>
  (row.value?.steps ?? []).map((one) => ({
    value: one.step.toString(),
    label: one.is_own ? 'Itself' : `Step ${one.step.toString()}`,
    note: one.hex,
  })),
)
const textSteps = computed(() => [
  { value: '', label: 'The colour itself' },
  ...steps.value.filter((one) => one.label !== 'Itself'),
])
function setText(value: string) {
  void props.make({
    kind: 'text color',
    role: props.assignment.role,
    step: value ? Number(value) : null,
  })
}
const others = computed(() => [
  { value: '', label: 'Swap with…' },
  ...(take.shown?.roles ?? [])
    .filter((one) => one.role !== props.assignment.role)
    .map((one) => ({ value: one.role, label: roleLabel(take.shown?.roles ?? [], one.role) })),
])
const cell = computed(() =>
  take.evaluation?.measure.find((one) => one.roles.includes(props.assignment.role)),
)
const advice = useAdvice(() => take.shown)
const alike = computed(() =>
  advice.value
    .filter((one) => one.kind === 'close' && one.swatches.includes(props.assignment.swatch))
    .map((one) => one.text),
)
const pairs = computed(() =>
  (take.evaluation?.pairs ?? []).filter((pair) =>
    [props.assignment.role, textKey(props.assignment.role)].some((key) =>
      [pair.text, pair.ground].includes(key),
    ),
  ),
)

function pin(owner: string, number: number | null) {
  void props.make({ kind: 'give', role: props.assignment.role, swatch: owner, step: number })
}
/** In another ramp: the step that stands nearest on the contrast scale. */
function setColor(owner: string) {
  const next = props.rows.find((one) => one.owner === owner)
  const nearest = next && stepAcross(next, step.value?.position ?? 0.5)
  if (nearest) pin(owner, nearest.step)
}
function setStep(value: string) {
  const chosen = row.value?.steps.find((one) => one.step.toString() === value)
  if (chosen && row.value) pin(row.value.owner, chosen.is_own ? null : chosen.step)
}
function swap(role: string) {
  if (role) void props.make({ kind: 'swap', role: props.assignment.role, other: role })
}
</script>

<template>
  <section :aria-label="`Role ${name}`">
    <div class="flex gap-3">
      <div
        class="keeps-color h-23 w-23 flex-none border border-hair"
        :style="{ backgroundColor: step?.hex }"
      ></div>
      <div class="min-w-0">
        <h2 dir="auto" class="text-title leading-tight wrap-break-word">{{ name }}</h2>
        <p dir="auto" class="wrap-break-word">{{ step?.name }}</p>
        <CopyButton v-if="step" :value="step.hex" class="mt-1" />
        <p v-if="cell" class="text-quiet">{{ formatShare(cell.share) }} of the page</p>
      </div>
    </div>
    <p class="mt-2">{{ assignment.reason }}</p>
    <p v-for="text in alike" :key="text" class="mt-2 font-semibold" data-testid="alike">
      {{ text }}
    </p>
    <h3 class="mt-4 text-quiet">Colour</h3>
    <div class="mt-1 flex gap-2">
      <ChoiceList
        class="min-w-0 flex-1"
        label="Ramp"
        align="left"
        :model-value="assignment.swatch"
        :options="owners"
        @update:model-value="setColor"
      />
      <ChoiceList
        class="w-24"
        label="Step"
        :model-value="(step?.step ?? 0).toString()"
        :options="steps"
        @update:model-value="setStep"
      />
    </div>
    <h3 class="mt-3 text-quiet">As text or line</h3>
    <ChoiceList
      class="mt-1"
      label="As text or line"
      align="left"
      :model-value="(assignment.text_step ?? '').toString()"
      :options="textSteps"
      @update:model-value="setText"
    />
    <ChoiceList
      class="mt-2"
      label="Swap with"
      align="left"
      model-value=""
      :options="others"
      @update:model-value="swap"
    />
    <div class="mt-3 flex gap-2">
      <button v-if="isExtra(assignment.role)" type="button" class="button" @click="emit('remove')">
        Remove the role
      </button>
      <button type="button" class="button" @click="emit('close')">Close</button>
    </div>
    <PairList :pairs="pairs" @open="router.push({ name: 'pairs', query: { pair: $event } })" />
  </section>
</template>
