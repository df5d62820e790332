<script lang="ts">
export type PictureTool = 'pick' | 'region'
</script>

<script setup lang="ts">
import { RadioGroup, RadioGroupOption, Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import { computed } from 'vue'
import type { ImageReading, SourceReading } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import RegionFields from './RegionFields.vue'
import type { Square } from './useLoupe'
import { countOf } from '@/ui/format'

const props = defineProps<{
  image: ImageReading
  settings: SourceReading
  leaveOutGround: boolean
}>()
const emit = defineEmits<{
  read: [changes: Partial<SourceReading>]
  'update:leaveOutGround': [value: boolean]
}>()
const tool = defineModel<PictureTool>('tool', { required: true })
const square = defineModel<Square>('square', { required: true })

const TOOLS = [
  { value: 'pick', label: 'Pick a colour' },
  { value: 'region', label: 'Select an area' },
] as const
const SQUARES = [
  { value: '1', label: 'One pixel' },
  { value: '3', label: '3 × 3 px average' },
  { value: '5', label: '5 × 5 px average' },
  { value: '11', label: '11 × 11 px average' },
] as const
type Kind = 'found' | ImageReading['kind']
const KINDS = computed<{ value: Kind; label: string }[]>(() => [
  { value: 'found', label: props.settings.kind ? 'Automatic' : `Automatic: ${props.image.kind}` },
  { value: 'flat', label: 'Treat as flat artwork' },
  { value: 'photographic', label: 'Treat as photograph' },
])

const chosenSquare = computed({
  get: () => `${square.value}`,
  set: (value) => (square.value = Number(value) as Square),
})
const kind = computed<Kind>({
  get: () => props.settings.kind ?? 'found',
  set: (value) => {
    emit('read', { count: null, kind: value === 'found' ? null : value })
  },
})
const setCount = (count: number) => {
  emit('read', { count: count === props.image.usual ? null : count })
}
const told = computed(() => {
  if (props.settings.region) return 'in the selected area'
  if (props.image.kind === 'photographic') return 'read as a photograph'
  if (props.image.format === 'SVG')
    return props.image.exact ? 'as declared in the file' : 'not all of it was understood'
  return props.image.exact ? 'exact, edge blends left out' : 'edge blends and noise left out'
})
</script>

<template>
  <div class="flex flex-wrap items-center gap-x-3 gap-y-2">
    <RadioGroup v-model="tool" class="flex border border-ink" aria-label="Pointer tool">
      <RadioGroupOption
        v-for="option in TOOLS"
        :key="option.value"
        v-slot="{ checked }"
        :value="option.value"
        class="cursor-pointer border-r border-ink -outline-offset-3 last:border-r-0"
      >
        <span
          class="block px-2.5 py-1 font-semibold"
          :class="checked ? 'bg-ink text-sheet' : 'bg-sheet hover:bg-surround'"
          >{{ option.label }}</span
        >
      </RadioGroupOption>
    </RadioGroup>
    <ChoiceList
      v-if="tool === 'pick'"
      v-model="chosenSquare"
      class="w-34"
      label="Area that is averaged"
      :options="SQUARES"
    />
    <RegionFields
      v-if="tool === 'region'"
      :region="settings.region"
      @change="emit('read', { count: null, region: $event })"
    />
    <button
      v-if="tool === 'region' && settings.region"
      type="button"
      class="button"
      @click="emit('read', { count: null, region: null })"
    >
      Whole picture
    </button>
    <ChoiceList v-model="kind" class="ml-auto w-46" label="Kind of picture" :options="KINDS" />
  </div>
  <div class="flex min-h-8 flex-wrap items-center gap-x-3 gap-y-1.5">
    <h2 class="text-body" data-testid="count">
      {{ countOf(image.count, 'colour', 'colours') }} found
    </h2>
    <p class="text-quiet">{{ told }}</p>
    <SwitchGroup v-if="image.ground">
      <div class="flex items-center gap-2">
        <SwitchLabel class="text-quiet">Ignore the background</SwitchLabel>
        <Switch
          :model-value="leaveOutGround"
          class="flex h-5 w-9 border border-ink p-0.5"
          :class="leaveOutGround ? 'justify-end bg-ink' : 'justify-start bg-sheet'"
          @update:model-value="emit('update:leaveOutGround', $event)"
        >
          <span class="h-full w-3.5" :class="leaveOutGround ? 'bg-sheet' : 'bg-ink'"></span>
        </Switch>
      </div>
    </SwitchGroup>
    <div class="ml-auto flex gap-2">
      <button
        type="button"
        class="button"
        :disabled="image.count <= 1"
        @click="setCount(image.count - 1)"
      >
        Fewer
      </button>
      <button
        type="button"
        class="button"
        :disabled="image.count >= image.counts"
        @click="setCount(image.count + 1)"
      >
        More
      </button>
    </div>
  </div>
</template>
