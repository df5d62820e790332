<script setup lang="ts">
import { computed, nextTick, ref, watch } from 'vue'
import type { Swatch } from '@/api/types'
import CopyButton from './CopyButton.vue'
import PairList from './PairList.vue'
import RampFields from './RampFields.vue'
import RemoveButton from './RemoveButton.vue'
import ShadeFields from './ShadeFields.vue'
import UsesList from './UsesList.vue'
import { roleLabel } from './roles'
import { formatShare } from '@/ui/format'
import { useTakeStore } from './take'
import { useChange } from './useChange'

const props = defineProps<{ swatch: Swatch }>()
const emit = defineEmits<{ close: []; pair: [id: string] }>()
const take = useTakeStore()
const { problem, make } = useChange({ saysItself: true })
const typed = ref('')

const figures = computed(() => take.evaluation?.swatches.find((one) => one.id === props.swatch.id))
const reasons = computed(() =>
  (take.document?.roles ?? []).filter((one) => one.swatch === props.swatch.id && one.step === null),
)
const pairs = computed(() => {
  const roles = new Set(figures.value?.roles)
  return (take.evaluation?.pairs ?? []).filter(
    (pair) => roles.has(pair.text) || roles.has(pair.ground),
  )
})

// What is being typed stays when an answer comes that changes the colour.
watch(
  () => [props.swatch.id, props.swatch.hex] as const,
  ([id, hex], before) => {
    if (id !== before?.[0] || typed.value === before[1]) typed.value = hex
    problem.value = ''
  },
  { immediate: true },
)

function edit(changes: Partial<Swatch>) {
  const { id } = props.swatch
  take.edit(take.begin(), (document) => ({
    ...document,
    swatches: document.swatches.map((one) => (one.id === id ? { ...one, ...changes } : one)),
  }))
}

function rename(event: Event) {
  const name = event.target instanceof HTMLInputElement ? event.target.value.trim() : ''
  if (name) edit({ name })
}

async function setColor() {
  const [{ id, hex }, text] = [props.swatch, typed.value]
  if (text.trim() === hex) return
  await make({ kind: 'typed', swatch: id, text })
  await nextTick()
  if (!problem.value && id === props.swatch.id && typed.value === text)
    typed.value = props.swatch.hex
}
</script>

<template>
  <section :aria-label="`Swatch ${swatch.name}`">
    <div class="flex gap-3">
      <div
        class="keeps-color h-23 w-23 flex-none border border-hair"
        :style="{ backgroundColor: swatch.hex }"
      ></div>
      <div class="min-w-0">
        <h2 dir="auto" class="text-title leading-tight wrap-break-word">
          {{ figures?.role_names || 'No role' }}
        </h2>
        <label class="block">
          <span class="sr-only">Name of the swatch</span>
          <input
            dir="auto"
            class="w-full border-b border-hair bg-transparent hover:border-ink"
            maxlength="80"
            :value="swatch.name"
            @change="rename"
          />
        </label>
        <CopyButton :value="swatch.hex" class="mt-1" />
        <p v-if="figures" class="value text-quiet">{{ figures.srgb8.join(' ') }}</p>
      </div>
    </div>
    <p class="mt-2 text-quiet first-letter:uppercase">
      {{ swatch.origin.note
      }}<template v-if="swatch.origin.share"
        >, {{ formatShare(swatch.origin.share) }} of it</template
      >.
      {{
        swatch.held
          ? 'Held: only you can change it.'
          : 'Free: hue rules, variations and mends may change it.'
      }}
    </p>
    <form class="mt-3 flex gap-2" @submit.prevent="setColor">
      <label class="sr-only" for="swatch-color">Colour, in any CSS notation</label>
      <input
        id="swatch-color"
        v-model="typed"
        class="field value"
        spellcheck="false"
        autocomplete="off"
        :aria-invalid="problem !== ''"
        aria-describedby="swatch-color-error"
      />
      <button class="button">Set</button>
    </form>
    <p id="swatch-color-error" role="alert" class="mt-2 font-semibold empty:hidden">
      {{ problem }}
    </p>
    <!-- What is being typed for one colour is never another one’s. -->
    <ShadeFields v-if="figures" :key="swatch.id" :figures="figures" />
    <slot />
    <div class="mt-3 flex gap-2">
      <button type="button" class="button" @click="edit({ held: !swatch.held })">
        {{ swatch.held ? 'Release' : 'Hold' }}
      </button>
      <RemoveButton :owner="swatch.id" :name="swatch.name" @removed="emit('close')" />
      <button type="button" class="button" @click="emit('close')">Close</button>
    </div>
    <h3 v-if="reasons.length" class="mt-4 text-quiet">Why</h3>
    <p v-for="assignment in reasons" :key="assignment.role" class="mt-1">
      <b class="font-semibold">{{ roleLabel(take.document?.roles ?? [], assignment.role) }}.</b>
      {{ assignment.reason }}
    </p>
    <UsesList :owner="swatch.id" />
    <RampFields :key="swatch.id" :swatch="swatch" />
    <PairList :pairs="pairs" @open="emit('pair', $event)" />
  </section>
</template>
