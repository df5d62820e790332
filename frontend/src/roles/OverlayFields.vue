<script setup lang="ts">
import { computed } from 'vue'
import type { Overlay, OverlayFigures, TakeDocument } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import CopyButton from '@/take/CopyButton.vue'
import { colorChoices, keyOf, targetFrom } from '@/take/roles'
import NumberField from '@/ui/NumberField.vue'

const props = defineProps<{
  overlay: Overlay
  document: TakeDocument
  figures: OverlayFigures | undefined
}>()
const emit = defineEmits<{ change: [overlay: Overlay]; remove: []; use: [ground: string] }>()

const colors = computed(() => colorChoices(props.document, props.overlay))
const grounds = computed(() => [
  { value: '', label: 'Set Paper on it over…' },
  ...(props.figures?.over ?? []).map(({ role, ground }) => ({
    value: role,
    label: `over ${ground}`,
  })),
])
const percent = computed(() => Math.round(props.overlay.alpha * 100))

const setAlpha = (percent: number) => {
  emit('change', { ...props.overlay, alpha: percent / 100 })
}
const slide = (event: Event) => {
  if (event.target instanceof HTMLInputElement) setAlpha(event.target.valueAsNumber)
}
function setName(event: Event) {
  const name = event.target instanceof HTMLInputElement ? event.target.value.trim() : ''
  if (name) emit('change', { ...props.overlay, name })
}
</script>

<template>
  <fieldset class="mt-3 min-w-0 border-t border-ink pt-2">
    <legend class="sr-only">{{ overlay.name }}</legend>
    <label class="text-small text-quiet">
      Name <input class="field text-ink" maxlength="80" :value="overlay.name" @change="setName" />
    </label>
    <ChoiceList
      class="mt-2"
      label="Colour"
      align="left"
      :model-value="keyOf(overlay)"
      :options="colors"
      @update:model-value="emit('change', { ...overlay, ...targetFrom($event) })"
    />
    <div class="mt-2 flex items-center gap-2">
      <input
        type="range"
        class="slider min-w-0 flex-1"
        min="0"
        max="100"
        :value="percent"
        :aria-label="`Opacity of ${overlay.name}`"
        :aria-valuetext="`${percent.toString()} per cent`"
        @change="slide"
      />
      <NumberField
        class="field value w-16"
        :min="0"
        :max="100"
        :value="percent"
        :aria-label="`Opacity of ${overlay.name} in per cent`"
        @set="setAlpha"
      />
    </div>
    <ul v-if="figures" class="keeps-color mt-2 flex border border-ink">
      <li
        v-for="over in figures.over"
        :key="over.ground"
        class="min-w-0 flex-1"
        :style="{ backgroundColor: over.ground_hex }"
      >
        <span class="m-1.5 mb-0 block h-6" :style="{ backgroundColor: over.hex }"></span>
        <span class="block border-t border-ink bg-sheet px-1 pb-1 text-small">
          <span class="block truncate">{{ over.ground }}</span>
          <CopyButton
            :value="over.hex"
            :what="`${overlay.name} over ${over.ground}`"
            class="text-[11px]"
          />
        </span>
      </li>
    </ul>
    <div class="mt-2 flex gap-2">
      <ChoiceList
        class="min-w-0 flex-1"
        label="Use in a pair"
        align="left"
        up
        model-value=""
        :options="grounds"
        @update:model-value="$event && emit('use', $event)"
      />
      <button type="button" class="button" @click="emit('remove')">Remove</button>
    </div>
  </fieldset>
</template>
