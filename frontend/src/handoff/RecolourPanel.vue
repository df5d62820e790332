<script setup lang="ts">
import { useFileDialog } from '@vueuse/core'
import { computed, ref, shallowRef, watch } from 'vue'
import { api, given } from '@/api/client'
import type { OldColor } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import RadioBar from '@/ui/RadioBar.vue'
import { colorChoices, roleLabel } from '@/take/roles'
import { countOf, formatRatio } from '@/ui/format'
import { saveText } from '@/ui/saveText'
import { useFollowing } from '@/ui/useFollowing'
import { useTakeStore } from '@/take/take'

/** An old stylesheet in the colours of this take: what becomes what, and what would change. */
const take = useTakeStore()
const files = shallowRef<{ name: string; text: string }[]>([])
const chosen = ref<Readonly<Record<string, string>>>({})
const WAYS = [
  { value: 'values', label: 'New values' },
  { value: 'properties', label: 'Custom properties' },
] as const
const write = ref<'values' | 'properties'>('values')

const { open, onChange } = useFileDialog({ accept: '.css,.scss,text/css', reset: true })
onChange((list) => void readFiles([...(list ?? [])]))
async function readFiles(list: File[]) {
  const read = await Promise.all(
    list.map(async (one) => ({ name: one.name.slice(0, 80), text: await one.text() })),
  )
  if (read.length) files.value = read
}

const mapping = useFollowing(
  () => {
    const document = take.document
    return files.value.length && document ? { document, files: files.value } : undefined
  },
  (body, signal) => given(api.POST('/api/mapping', { body, signal })),
)
const colors = computed<readonly OldColor[]>(() => mapping.answer.value?.colors ?? [])
watch(files, () => (chosen.value = {}))

const keyOf = (color: OldColor) => chosen.value[color.hex] ?? color.key
const restyled = useFollowing(
  () => {
    const document = take.document
    if (!colors.value.length || !document) return undefined
    const pairs = colors.value.flatMap((color) =>
      color.members.map((old) => ({ old, key: keyOf(color) })),
    )
    return { document, files: files.value, mapping: pairs, write: write.value }
  },
  (body, signal) => given(api.POST('/api/restyle', { body, signal })),
)
const made = restyled.answer
const problem = computed(() => mapping.problem.value || restyled.problem.value)

const choices = computed(() => {
  const document = take.document
  if (!document) return []
  const roles = document.roles.map((one) => ({
    value: one.role,
    label: roleLabel(document.roles, one.role),
  }))
  return [...roles, ...colorChoices(document)]
})
const choicesFor = (color: OldColor) =>
  choices.value.some((one) => one.value === color.key)
    ? choices.value
    : [{ value: color.key, label: color.name }, ...choices.value]
const lines = computed(() =>
  (made.value?.diff ?? '').split('\n').map((text) => ({
    text,
    kind: text.startsWith('+') ? 'new' : text.startsWith('-') ? 'old' : 'same',
  })),
)
function save() {
  for (const file of made.value?.files ?? []) saveText(file.name, file.text, 'text/css')
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <button type="button" class="button" @click="open()">Choose a stylesheet …</button>
    <template v-if="colors.length">
      <RadioBar v-model="write" label="Written as" :options="WAYS" />
      <p class="ml-auto" role="status" data-testid="replaced">
        {{ countOf(made?.replaced ?? 0, 'value', 'values') }} replaced,
        {{ countOf(colors.length, 'colour', 'colours').toLowerCase() }}
      </p>
      <button type="button" class="button-solid" :disabled="!made?.replaced" @click="save">
        Save the new file
      </button>
    </template>
  </div>
  <p v-if="problem" role="alert" class="mt-2 font-semibold">{{ problem }}</p>
  <p v-else-if="!colors.length" class="mt-4 max-w-130 text-quiet">
    A stylesheet that is in use, in CSS or SCSS. Each of its colours is mapped to the role or step
    that is nearest and does the same job; you change what you like. Out comes the same file with
    the values replaced, everything else to the letter.
  </p>
  <div
    v-if="colors.length"
    class="mt-3 grid grid-cols-[minmax(0,5fr)_minmax(0,6fr)] items-start gap-3 max-[900px]:grid-cols-[minmax(0,1fr)]"
  >
    <ul class="border-t border-ink bg-sheet" data-testid="mapping">
      <li
        v-for="color in colors"
        :key="color.hex"
        class="flex items-center gap-2 border-x border-b border-hair px-2 py-1"
      >
        <span class="keeps-color flex flex-none border border-hair">
          <span class="h-6 w-7" :style="{ backgroundColor: color.hex }"></span>
          <span
            v-if="keyOf(color) === color.key"
            class="h-6 w-7"
            :style="{ backgroundColor: color.new_hex }"
          ></span>
        </span>
        <span class="min-w-0 flex-1 truncate"
          ><span class="value">{{ color.hex }}</span>
          <span class="ml-2 text-quiet">
            {{ color.count }} ×<template v-if="color.members.length > 1"
              >, {{ color.members.length }} alike</template
            ></span
          ></span
        >
        <ChoiceList
          class="w-40"
          :label="`${color.hex} becomes`"
          :model-value="keyOf(color)"
          :options="choicesFor(color)"
          @update:model-value="chosen = { ...chosen, [color.hex]: $event }"
        />
      </li>
    </ul>
    <div class="min-w-0">
      <div v-if="made?.pairs.length" class="mb-2 border border-hair bg-sheet px-3 py-2">
        <h2 class="font-semibold">Text and ground set in one rule, before and after</h2>
        <p v-for="pair in made.pairs.slice(0, 6)" :key="pair.selector" class="flex gap-2">
          <span class="value min-w-0 flex-1 truncate">{{ pair.selector }}</span>
          <span class="value">{{ formatRatio(pair.before) }} → {{ formatRatio(pair.after) }}</span>
        </p>
        <p v-if="made.pairs.length > 6" class="text-quiet">and {{ made.pairs.length - 6 }} more</p>
      </div>
      <details v-if="made?.undecided.length" class="mb-2 border border-hair bg-sheet px-3 py-2">
        <summary class="cursor-pointer font-semibold" data-testid="undecided">
          {{ countOf(made.undecided.length, 'place stays', 'places stay') }} as
          {{ made.undecided.length === 1 ? 'it is' : 'they are' }}
        </summary>
        <ul class="mt-1 max-h-60 overflow-y-auto">
          <li v-for="(one, row) in made.undecided" :key="row" class="py-0.5">
            <span class="value">{{ one.file }}, line {{ one.line }}</span>
            <span class="ml-2 text-quiet">
              {{ one.reason }}<template v-if="one.count > 1">, {{ one.count }} times</template>
            </span>
            <code class="value block truncate">{{ one.text }}</code>
          </li>
        </ul>
      </details>
      <pre
        class="value max-h-130 overflow-auto border border-hair bg-sheet p-2 text-small"
        tabindex="0"
        aria-label="What changes"
        data-testid="diff"
      ><span v-for="(line, row) in lines" :key="row" class="block" :class="line.kind === 'old' ? 'text-quiet line-through' : line.kind === 'new' && 'font-bold'">{{ line.text || ' ' }}</span></pre>
    </div>
  </div>
</template>
