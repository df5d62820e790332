<script setup lang="ts">
import { computed } from 'vue'
import PairList from './PairList.vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import CopyButton from './CopyButton.vue'
import { useRamps } from './useRamps'
import { isSame, ownerName, roleLabel } from './roles'
import type { Target } from './roles'
import { formatRatio } from '@/ui/format'
import { useTakeStore } from './take'
import { useChange } from './useChange'

const props = defineProps<{ target: Target }>()
const emit = defineEmits<{ close: []; pair: [id: string]; owner: [id: string] }>()
const take = useTakeStore()
const change = useChange({ saysItself: true })
const { rows } = useRamps({ isShared: true })

const step = computed(() =>
  rows.value
    .find((row) => row.owner === props.target.swatch)
    ?.steps.find((one) => one.step === props.target.step),
)
const assigned = computed(() =>
  (take.shown?.roles ?? []).filter((one) => isSame(one, props.target)),
)
const free = computed(() => [
  { value: '', label: 'Give it a role…' },
  ...(take.shown?.roles ?? [])
    .filter((one) => !isSame(one, props.target))
    .map((one) => ({ value: one.role, label: roleLabel(take.shown?.roles ?? [], one.role) })),
])
const pairs = computed(() => {
  const roles = new Set(assigned.value.map(({ role }) => role))
  return (take.evaluation?.pairs ?? []).filter(
    (pair) => roles.has(pair.text) || roles.has(pair.ground),
  )
})

function give(role: string) {
  if (role) void change.make({ kind: 'give', role, ...props.target })
}
</script>

<template>
  <section v-if="step && take.shown" :aria-label="`Step ${step.name}`">
    <div class="flex gap-3">
      <div
        class="keeps-color h-23 w-23 flex-none border border-hair"
        :style="{ backgroundColor: step.hex }"
      ></div>
      <div class="min-w-0">
        <h2 dir="auto" class="text-title leading-tight wrap-break-word">{{ step.name }}</h2>
        <p class="text-quiet">
          A step of
          <button
            type="button"
            dir="auto"
            class="underline underline-offset-2"
            @click="emit('owner', target.swatch)"
          >
            {{ ownerName(take.shown, target.swatch) }}
          </button>
        </p>
        <CopyButton :value="step.hex" class="mt-1" />
        <p class="value text-quiet">
          {{ formatRatio(step.on_ground) }}:1 on {{ take.evaluation?.stave.ground_name }}
        </p>
      </div>
    </div>
    <p v-for="one in assigned" :key="one.role" class="mt-2">
      <b class="font-semibold">{{ roleLabel(take.shown.roles, one.role) }}.</b> {{ one.reason }}
    </p>
    <ChoiceList
      class="mt-3"
      label="Give it a role"
      align="left"
      model-value=""
      :options="free"
      @update:model-value="give"
    />
    <p v-if="change.problem.value" role="alert" class="mt-1 font-semibold">
      {{ change.problem.value }}
    </p>
    <slot />
    <button type="button" class="button mt-3" @click="emit('close')">Close</button>
    <PairList :pairs="pairs" @open="emit('pair', $event)" />
  </section>
</template>
