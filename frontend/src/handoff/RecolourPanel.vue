<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed } from 'vue'
import RecolourChanges from './RecolourChanges.vue'
import RecolourMapping from './RecolourMapping.vue'
import RecolourRules from './RecolourRules.vue'
import RecolourSample from './RecolourSample.vue'
import { useRecolouring } from './useRecolouring'
import { ACCEPTED } from '@/api/constants'
import ChoiceList from '@/ui/ChoiceList.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { countOf } from '@/ui/format'
import { useBrandStore } from '@/take/brand'

/** An old stylesheet in the colours of this take: what becomes what, how it looks, and what changes. */
const emit = defineEmits<{
  download: [source: string, write: string, pictures: boolean, name: string]
}>()
const brand = useBrandStore()
const recolouring = useRecolouring()
const { sheets, source, wanted, write, pictures, colors, changes, rules, problem } = recolouring

const WAYS = [
  { value: 'values', label: 'New values' },
  { value: 'properties', label: 'Custom properties' },
] as const
const options = computed(() =>
  sheets.value.map((one) => ({
    value: one.id,
    label: one.name,
    note: countOf(one.stylesheet?.files.length ?? 1, 'file', 'files'),
  })),
)

const { open, onChange } = useFileDialog({
  accept: ACCEPTED.styles,
  reset: true,
})
onChange((list) => {
  const files = [...(list ?? [])]
  if (files.length) void recolouring.add(files)
})
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <ChoiceList
      v-if="source"
      class="w-56"
      label="Stylesheet"
      align="left"
      :model-value="source.id"
      :options="options"
      @update:model-value="wanted = $event"
    />
    <button type="button" class="button" @click="open()">
      {{ source ? 'Another stylesheet…' : 'Choose a stylesheet…' }}
    </button>
    <template v-if="source && colors.length">
      <RadioBar v-model="write" label="Written as" :options="WAYS" />
      <button
        type="button"
        class="button"
        :class="pictures && 'bg-ink! text-sheet!'"
        :aria-pressed="pictures"
        title="Colours in SVG pictures that stand in the sheet itself"
        @click="pictures = !pictures"
      >
        Pictures in it too
      </button>
      <p class="ml-auto" role="status" data-testid="replaced">
        <template v-if="changes.answer.value"
          >{{ countOf(changes.answer.value.replaced, 'value', 'values') }} replaced</template
        >
      </p>
      <button
        type="button"
        class="button-solid"
        :disabled="!changes.answer.value?.replaced"
        @click="emit('download', source.id, write, pictures, source.name)"
      >
        Save the new file
      </button>
    </template>
  </div>
  <p v-if="brand.reading" class="mt-2 text-quiet" role="status">
    Reading {{ brand.reading.name }} …
  </p>
  <NoticeBar
    v-if="brand.problem"
    class="mt-2"
    :text="brand.problem"
    @dismiss="brand.problem = ''"
  />
  <p v-if="problem" role="alert" class="mt-2 font-semibold">{{ problem }}</p>
  <p v-else-if="!source" class="mt-4 max-w-130 text-quiet">
    Choose a stylesheet (CSS, SCSS or Less) or a page with style blocks; several files at once are
    fine. Tonada maps each colour to the nearest role or step that does the same job. Change what
    you like. You get the same file with only the colours replaced. The file is kept among the
    sources, your choices with the take.
  </p>
  <div
    v-if="source && colors.length"
    class="mt-3 grid grid-cols-[minmax(0,5fr)_minmax(0,7fr)] items-start gap-3 max-[900px]:grid-cols-[minmax(0,1fr)]"
  >
    <RecolourMapping :recolouring="recolouring" />
    <div class="flex min-w-0 flex-col gap-2">
      <RecolourSample :source="source" :pictures="pictures" />
      <RecolourRules :changes="rules.answer.value" @mend="recolouring.mend" />
      <RecolourChanges v-if="changes.answer.value" :made="changes.answer.value" />
    </div>
  </div>
</template>
