<script setup lang="ts">
import { computed } from 'vue'
import { AMOUNTS } from '@/api/constants'
import type { PictureTone } from '@/api/types'
import { roleLabel } from '@/take/roles'
import { useTakeStore } from '@/take/take'
import ChoiceList from '@/ui/ChoiceList.vue'
import RadioBar from '@/ui/RadioBar.vue'

/** A picture as it is, in two colours of the take, or with one laid over it. */
const props = defineProps<{ tone: PictureTone }>()
const emit = defineEmits<{ preview: [tone: PictureTone]; set: [tone: PictureTone] }>()
const take = useTakeStore()

const KINDS = [
  { value: 'plain', label: 'As it is' },
  { value: 'duotone', label: 'Duotone' },
  { value: 'tinted', label: 'Tinted' },
] as const
const ENDS = [
  { end: 'dark', label: 'Dark parts' },
  { end: 'light', label: 'Light parts' },
] as const
const roles = computed(() =>
  (take.shown?.roles ?? []).map(({ role }) => ({
    value: role,
    label: roleLabel(take.shown?.roles ?? [], role),
  })),
)
const percent = computed(() => Math.round(props.tone.amount * 100).toString())
function tint(event: Event, isDone: boolean) {
  if (!(event.target instanceof HTMLInputElement)) return
  const tone = { ...props.tone, amount: event.target.valueAsNumber }
  if (isDone) emit('set', tone)
  else emit('preview', tone)
}
</script>

<template>
  <div>
    <RadioBar
      class="mt-3 w-fit"
      label="Tone"
      small
      :model-value="tone.kind"
      :options="KINDS"
      @update:model-value="emit('set', { ...tone, kind: $event })"
    />
    <div v-if="tone.kind === 'duotone'" class="mt-1.5 grid grid-cols-2 gap-1.5">
      <div v-for="{ end, label } in ENDS" :key="end" class="min-w-0">
        <h4 class="text-small text-quiet">{{ label }}</h4>
        <ChoiceList
          :label="label"
          align="left"
          :model-value="tone[end]"
          :options="roles"
          @update:model-value="emit('set', { ...tone, [end]: $event })"
        />
      </div>
    </div>
    <template v-if="tone.kind === 'tinted'">
      <ChoiceList
        class="mt-1.5"
        label="Tint"
        align="left"
        :model-value="tone.tint"
        :options="roles"
        @update:model-value="emit('set', { ...tone, tint: $event })"
      />
      <label class="mt-1.5 flex items-center gap-2"
        ><span class="text-quiet">Amount</span>
        <input
          type="range"
          class="slider min-w-0 flex-1"
          :min="AMOUNTS.least"
          :max="AMOUNTS.most"
          step="0.05"
          :value="tone.amount"
          :aria-valuetext="`${percent} per cent`"
          @input="tint($event, false)"
          @change="tint($event, true)"
        />
        <span class="value w-10 text-right">{{ percent }} %</span>
      </label>
    </template>
  </div>
</template>
