<script setup lang="ts">
import { computed } from 'vue'
import ChoiceList from '@/components/ChoiceList.vue'
import CopyButton from '@/components/CopyButton.vue'
import type { Choice, Proposal } from '@/api/types'
import type { Offer } from '@/composables/useProposal'
import { formatShare, roleName } from '@/format'

const props = defineProps<{ offers: readonly Offer[]; proposal: Proposal | undefined }>()
const emit = defineEmits<{ choose: [hex: string, choice: Choice] }>()

const OPTIONS = computed<{ value: Choice; label: string }[]>(() => [
  ...(props.proposal?.roles ?? []).map(({ role }) => ({ value: role, label: roleName(role) })),
  { value: 'keep', label: 'Keep, no role' },
  { value: 'leave out', label: 'Leave out' },
])
const largest = computed(() => Math.max(...props.offers.map((offer) => offer.share), 0.01))
</script>

<template>
  <ul class="border-t border-ink" data-testid="found-colors">
    <li
      v-for="({ color, share }, row) in offers"
      :key="color.hex"
      class="grid grid-cols-[54px_84px_minmax(90px,1fr)_48px_170px_40px] items-stretch gap-x-3 border-b border-hair bg-sheet"
    >
      <span
        class="keeps-color min-h-10.5 border-r border-hair"
        :style="{ backgroundColor: color.hex }"
      ></span>
      <span class="self-center"><CopyButton :value="color.hex" :what="color.name" /></span>
      <span class="min-w-0 self-center">
        <span class="block truncate font-semibold">{{ color.name }}</span>
        <span
          class="mt-1 block h-1 bg-ink"
          :style="{ width: `${(share / largest) * 100}%` }"
        ></span>
      </span>
      <span class="value self-center text-right">{{ formatShare(share) }}</span>
      <ChoiceList
        v-if="proposal?.choices[row]"
        class="self-center"
        :label="`What ${color.name} becomes`"
        :model-value="proposal.choices[row]"
        :options="OPTIONS"
        @update:model-value="emit('choose', color.hex, $event)"
      />
      <span class="self-center font-semibold">{{
        proposal?.choices[row] && proposal.choices[row] !== 'leave out' ? 'held' : ''
      }}</span>
    </li>
  </ul>
</template>
