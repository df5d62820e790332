<script setup lang="ts">
import { useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import SlotEditor from './SlotEditor.vue'
import { useDestinations } from './useDestinations'
import { api, answerOf } from '@/api/client'
import type { FilledSlot, HandoffVocabulary, SlotKind } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import ColorCombo from '@/take/ColorCombo.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useCopy } from '@/ui/useCopy'
import { useFollowing } from '@/ui/useFollowing'
import { useSlotKeys } from './useSlotKeys'
import { formatRatio } from '@/ui/format'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

/** The slots of a destination in its order, copied one after the other with one key. */
defineProps<{ vocabulary: HandoffVocabulary }>()
const emit = defineEmits<{ download: [destination: string, kind: SlotKind, name: string] }>()
const take = useTakeStore()
const change = useChange()
const { copyValue } = useCopy()
const { destinations, removed, problem, copy, save, remove, bringBack } = useDestinations()

/** Stays for the next site, too. */
const chosen = useLocalStorage('tonada-destination', '')
const destination = computed(
  () => destinations.value.find((one) => one.id === chosen.value) ?? destinations.value[0],
)
const options = computed(() =>
  destinations.value.map((one) => ({
    value: one.id,
    label: one.name,
    note: one.is_own ? 'your own' : `${one.slots.length.toString()} slots`,
  })),
)

const { answer, problem: failure } = useFollowing(
  () => {
    const { value: now } = destination
    const document = take.document
    return now && document ? { document, destination: now.id, slots: now.slots } : undefined
  },
  async (body, signal) => ({
    of: body.destination,
    ...(await answerOf(api.POST('/api/slots', { body, signal }))),
  }),
)
/** None until they are this destination's. */
const filled = computed<readonly FilledSlot[]>(() =>
  answer.value?.of === destination.value?.id ? (answer.value?.slots ?? []) : [],
)

/** Which slot is next, and which were copied on this round. */
const at = ref(0)
const done = ref<ReadonlySet<number>>(new Set())
watch(
  () => destination.value?.id,
  () => {
    at.value = 0
    done.value = new Set()
  },
)
const current = computed(() => filled.value[at.value])

async function copySlot(row: number) {
  const slot = filled.value[row]
  if (!slot) return
  await copyValue(slot.text, `slot ${row.toString()}`)
  done.value = new Set([...done.value, row])
  at.value = Math.min(filled.value.length - 1, row + 1)
}
function move(by: number) {
  at.value = Math.min(filled.value.length - 1, Math.max(0, at.value + by))
}
useSlotKeys({ copy: () => void copySlot(at.value), move })

const BY_RULE = ''
const choicesFor = (slot: FilledSlot) => [
  { key: BY_RULE, name: slot.by_rule ? `Automatic: ${slot.color_name}` : 'Automatic', hex: '' },
  ...(answer.value?.choices ?? []),
]
const SHEETS: readonly { kind: SlotKind; label: string }[] = [
  { kind: 'csv', label: 'CSV' },
  { kind: 'json', label: 'JSON' },
  { kind: 'pdf', label: 'PDF to print' },
]
function fill(slot: FilledSlot, key: string) {
  const { id } = destination.value ?? {}
  if (id) void change.make({ kind: 'slot', destination: id, slot: slot.name, key: key || null })
}

const isEditing = ref(false)
async function duplicate() {
  if (!destination.value) return
  const made = await copy(destination.value)
  if (made) {
    chosen.value = made.id
    isEditing.value = true
  }
}
</script>

<template>
  <div class="flex flex-wrap items-center gap-2">
    <ChoiceList
      v-if="destination"
      class="w-72"
      label="Destination"
      align="left"
      :model-value="destination.id"
      :options="options"
      @update:model-value="chosen = $event"
    />
    <button type="button" class="button" :disabled="!destination" @click="duplicate">
      Duplicate
    </button>
    <template v-if="destination?.is_own">
      <button type="button" class="button" @click="isEditing = true">Change its slots</button>
      <button type="button" class="button" @click="remove(destination)">Delete</button>
    </template>
    <p class="ml-auto" role="status" data-testid="progress">
      <template v-if="filled.length">{{ done.size }} of {{ filled.length }} copied</template>
    </p>
    <span class="flex items-center gap-1">
      <span class="text-quiet">The sheet as</span>
      <button
        v-for="one in SHEETS"
        :key="one.kind"
        type="button"
        class="button"
        :disabled="!destination"
        @click="destination && emit('download', destination.id, one.kind, destination.name)"
      >
        {{ one.label }}
      </button>
    </span>
  </div>
  <NoticeBar
    v-if="problem || failure"
    class="mt-2"
    :text="problem || failure"
    @dismiss="problem = failure = ''"
  />
  <NoticeBar
    v-if="removed"
    class="mt-2"
    :text="`${removed.name} was deleted.`"
    @dismiss="removed = undefined"
  >
    <button type="button" class="button" @click="bringBack">Restore</button>
  </NoticeBar>
  <section
    v-if="current"
    class="mt-3 flex flex-wrap items-stretch border-2 border-ink bg-sheet"
    aria-label="Next slot"
  >
    <div
      class="keeps-color min-h-16 w-44 flex-none max-[640px]:w-full"
      :style="{ backgroundColor: current.hex }"
    ></div>
    <div class="min-w-64 flex-1 px-4 py-3">
      <p class="text-quiet">Slot {{ at + 1 }} of {{ filled.length }}, {{ current.purpose }}</p>
      <h2 dir="auto" class="text-[22px] leading-tight font-semibold wrap-break-word">
        {{ current.name }}
      </h2>
      <p class="value mt-1 text-[22px] wrap-break-word" data-testid="current">{{ current.text }}</p>
      <p class="text-quiet">
        {{ current.color_name }}. Press <span class="value">C</span> to copy and move on, the arrow
        keys to move.
      </p>
    </div>
    <button type="button" class="button-solid m-3 self-center" @click="copySlot(at)">
      Copy and next
    </button>
  </section>
  <ol class="mt-3 border-t border-ink bg-sheet" data-testid="slots">
    <li
      v-for="(slot, row) in filled"
      :key="slot.name"
      class="flex flex-wrap items-center gap-x-3 gap-y-1 border-r border-b border-l-4 border-hair border-l-transparent px-2 py-1"
      :class="row === at && 'border-l-ink'"
    >
      <span class="value w-6 text-right text-quiet">{{ row + 1 }}</span>
      <span
        class="keeps-color h-6 w-10 flex-none border border-hair"
        :style="{ backgroundColor: slot.hex }"
      ></span>
      <span class="w-44 font-semibold wrap-break-word max-[640px]:w-auto max-[640px]:flex-1">{{
        slot.name
      }}</span>
      <ColorCombo
        class="w-48 max-[640px]:w-full"
        :label="`Colour of ${slot.name}`"
        :model-value="slot.by_rule ? BY_RULE : slot.key"
        :name="slot.color_name"
        :choices="choicesFor(slot)"
        @update:model-value="fill(slot, $event)"
      />
      <button
        type="button"
        class="value w-36 text-left hover:underline"
        :aria-label="`Copy ${slot.name}, ${slot.text}`"
        @click="copySlot(row)"
      >
        {{ slot.text }}
      </button>
      <span class="min-w-40 flex-1">
        <b v-if="slot.warning">{{ slot.warning }}</b>
        <span v-else-if="slot.outcome === 'passes' && slot.ratio !== null" class="text-quiet"
          >{{ formatRatio(slot.ratio) }}:1 on {{ slot.on }}, passes</span
        >
      </span>
      <span class="w-14 text-right text-quiet max-[640px]:w-auto">{{
        done.has(row) ? 'copied' : ''
      }}</span>
    </li>
  </ol>
  <SlotEditor
    v-if="destination?.is_own"
    v-model="isEditing"
    :destination="destination"
    :vocabulary="vocabulary"
    @save="(name, slots) => destination && save(destination, name, slots)"
  />
</template>
