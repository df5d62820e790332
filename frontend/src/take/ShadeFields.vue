<script setup lang="ts">
import { computed } from 'vue'
import { api, given } from '@/api/client'
import type { SwatchFigures } from '@/api/types'
import { useChange } from './useChange'
import { formatFixed } from '@/ui/format'
import { useTakeStore } from './take'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{ figures: SwatchFigures }>()
const take = useTakeStore()
const change = useChange()

const shade = computed(() => [
  {
    name: 'lightness',
    label: 'Lightness',
    value: formatFixed(props.figures.lightness, 3),
    step: 0.01,
    most: 1,
  },
  {
    name: 'chroma',
    label: 'Chroma',
    value: formatFixed(props.figures.chroma, 3),
    step: 0.01,
    most: 0.4,
  },
  { name: 'hue', label: 'Hue', value: formatFixed(props.figures.hue, 1), step: 1, most: 360 },
])
const CHANNELS = ['Red', 'Green', 'Blue'] as const

const valueOf = (event: Event) => {
  const value = event.target instanceof HTMLInputElement ? event.target.valueAsNumber : NaN
  return Number.isFinite(value) ? value : undefined
}

function setShade(name: string, event: Event) {
  const value = valueOf(event)
  if (value === undefined) return
  const { id, lightness, chroma, hue } = props.figures
  const wanted = { lightness, chroma, hue, [name]: value }
  void change.make({
    kind: 'place',
    swatch: id,
    lightness: within(wanted.lightness, 1),
    chroma: within(wanted.chroma, 0.4),
    hue: within(wanted.hue, 360),
    position: null,
    settle: false,
  })
}

async function setChannel(place: number, event: Event) {
  const value = valueOf(event)
  if (value === undefined) return
  const [from, { id }] = [take.begin(), props.figures]
  const channels = props.figures.srgb8.map((own, row) =>
    row === place ? Math.round(within(value, 255)) : own,
  )
  const color = await given(api.POST('/api/colors', { body: { text: channels.join(' ') } }))
  const origin = { kind: 'typed', note: 'typed by hand', source: null, share: null } as const
  take.edit(from, (document) => ({
    ...document,
    swatches: document.swatches.map((one) =>
      one.id === id ? { ...one, hex: color.hex, origin } : one,
    ),
  }))
}

const within = (value: number, most: number) => Math.min(most, Math.max(0, value))
</script>

<template>
  <fieldset class="mt-3">
    <legend class="sr-only">Shade, and red, green and blue</legend>
    <div class="grid grid-cols-3 gap-x-2 gap-y-1.5">
      <label v-for="one in shade" :key="one.name" class="text-small text-quiet">
        {{ one.label }}
        <NumberField
          class="field value text-ink"
          min="0"
          :max="one.most"
          :step="one.step"
          :value="one.value"
          @change="setShade(one.name, $event)"
        />
      </label>
      <label v-for="(channel, place) in CHANNELS" :key="channel" class="text-small text-quiet">
        {{ channel }}
        <NumberField
          class="field value text-ink"
          min="0"
          max="255"
          step="1"
          :value="figures.srgb8[place]"
          @change="setChannel(place, $event)"
        />
      </label>
    </div>
  </fieldset>
</template>
