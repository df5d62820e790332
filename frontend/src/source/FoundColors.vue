<script setup lang="ts">
import { computed, ref, useTemplateRef, watch } from 'vue'
import type { ColorDetail } from './colorDetail'
import ChoiceList from '@/ui/ChoiceList.vue'
import CopyButton from '@/take/CopyButton.vue'
import type { Choice, Role } from '@/api/types'
import type { Offer } from './useProposal'
import { roleName } from '@/take/roles'
import { countOf, formatShare } from '@/ui/format'

const props = defineProps<{
  offers: readonly Offer[]
  roles: readonly Role[]
  /** Whether the shares mean anything: those of a list don't. */
  hasShares: boolean
  /** Whether they are the designer's own, to be held; those of a mood are only a start. */
  isHeld: boolean
  /** What else is to be said of a colour: those that pass for it, and what it is used for. */
  details?: Readonly<Record<string, ColorDetail | undefined>>
  /** The one that was picked last: its row comes into view. */
  marked?: string
}>()
const emit = defineEmits<{ choose: [offer: Offer, choice: Choice]; drop: [offer: Offer] }>()

const options = computed<{ value: Choice; label: string }[]>(() => [
  ...props.roles.map((role) => ({ value: role, label: roleName(role) })),
  { value: 'keep', label: 'Keep, no role' },
  { value: 'leave out', label: 'Ignore' },
])
/** A long list is looked through by name or value, and shown in parts. */
const LONG = 24
const PART = 60
const wanted = ref('')
const most = ref(PART)
const fitting = computed(() => {
  const word = wanted.value.trim().toLowerCase()
  return props.offers.filter(({ color }) =>
    `${color.name} ${color.hex}`.toLowerCase().includes(word),
  )
})
const rows = computed(() => fitting.value.slice(0, most.value))
const markedRow = useTemplateRef<HTMLElement[]>('markedRow')
watch(
  () => [props.marked, rows.value.some(({ color }) => color.hex === props.marked)] as const,
  ([, isThere]) => {
    if (isThere) markedRow.value?.at(-1)?.scrollIntoView({ block: 'nearest' })
  },
  { flush: 'post' },
)
const largest = computed(() => Math.max(...props.offers.map((offer) => offer.share), 0.01))
</script>

<template>
  <label v-if="offers.length > LONG" class="flex items-center gap-3 pb-2">
    <span class="text-quiet">Find among {{ offers.length }} colours</span>
    <input v-model="wanted" type="search" class="field w-60" placeholder="a name or a value" />
    <span class="text-quiet" role="status">{{
      wanted.trim() ? countOf(fitting.length, 'colour', 'colours') : ''
    }}</span>
  </label>
  <ul class="border-t border-ink" data-testid="found-colors">
    <li
      v-for="offer in rows"
      :key="`${offer.color.hex}${offer.color.name}`"
      :ref="offer.color.hex === marked ? 'markedRow' : undefined"
      :class="offer.color.hex === marked && 'outline-2 -outline-offset-2 outline-ink'"
      :data-marked="offer.color.hex === marked"
      class="grid grid-cols-[54px_84px_minmax(90px,1fr)_60px_170px_40px] items-stretch gap-x-3 border-b border-hair bg-sheet max-[640px]:grid-cols-[40px_84px_minmax(0,1fr)_56px]"
    >
      <span
        class="keeps-color min-h-10.5 border-r border-hair max-[640px]:row-span-2"
        :style="{ backgroundColor: offer.color.hex }"
      ></span>
      <span class="self-center"
        ><CopyButton :value="offer.color.hex" :what="offer.color.name"
      /></span>
      <span class="min-w-0 self-center">
        <span class="block truncate font-semibold" :title="offer.color.name">
          {{ offer.color.name
          }}<span v-if="offer.color.is_stop" class="font-normal text-quiet">, gradient stop</span>
        </span>
        <span v-if="details?.[offer.color.hex]" class="flex items-center gap-2">
          <span v-if="details[offer.color.hex]?.alike.length" class="keeps-color flex">
            <span
              v-for="hex in details[offer.color.hex]?.alike"
              :key="hex"
              class="h-3 w-3 border-y border-r border-hair first:border-l"
              :style="{ backgroundColor: hex }"
              :title="hex"
            ></span>
          </span>
          <span class="truncate text-small text-quiet">{{ details[offer.color.hex]?.uses }}</span>
        </span>
        <span
          v-else-if="hasShares && !offer.color.picked"
          class="mt-1 block h-1 bg-ink"
          :style="{ width: `${(offer.share / largest) * 100}%` }"
        ></span>
      </span>
      <span v-if="offer.color.picked" class="self-center text-right">
        <button
          type="button"
          class="underline underline-offset-2"
          :aria-label="`Remove ${offer.color.name} from this list`"
          @click="emit('drop', offer)"
        >
          picked
        </button>
      </span>
      <span v-else class="value self-center text-right">{{
        hasShares ? formatShare(offer.share) : ''
      }}</span>
      <ChoiceList
        class="self-center max-[640px]:col-span-2 max-[640px]:py-2"
        :label="`What ${offer.color.name} becomes`"
        :model-value="offer.choice"
        :options="options"
        @update:model-value="emit('choose', offer, $event)"
      />
      <span class="self-center font-semibold">{{
        isHeld && offer.choice !== 'leave out' ? 'held' : ''
      }}</span>
    </li>
  </ul>
  <button
    v-if="fitting.length > rows.length"
    type="button"
    class="button mt-2 self-start"
    @click="most += PART"
  >
    Show more of the {{ fitting.length - rows.length }} that are left
  </button>
</template>
