<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import { computed, toRef } from 'vue'
import InspectorPanel from '@/components/frame/InspectorPanel.vue'
import EmptySource from '@/components/source/EmptySource.vue'
import FoundColors from '@/components/source/FoundColors.vue'
import SourceRail from '@/components/source/SourceRail.vue'
import SuggestedStart from '@/components/source/SuggestedStart.vue'
import { useProposal } from '@/composables/useProposal'
import { useSelection } from '@/composables/useSelection'
import { countOf } from '@/format'
import { useBrandStore } from '@/stores/brand'
import { useTakeStore } from '@/stores/take'

defineProps<{ isOver: boolean }>()
const emit = defineEmits<{ file: [file: File] }>()
const brand = useBrandStore()
const take = useTakeStore()
const { selected, select } = useSelection('source')

const sources = computed(() => brand.detail?.sources ?? [])
const source = computed(
  () => sources.value.find((one) => one.id === selected.value) ?? sources.value[0],
)
const { offers, proposal, error, leaveOutGround, choose } = useProposal(
  source,
  toRef(() => take.document),
)

const isBuilt = computed(() => {
  const offered = proposal.value?.document
  const signature = (document: typeof offered) =>
    document?.roles.map(({ role, swatch }) => [
      role,
      document.swatches.find((one) => one.id === swatch)?.hex,
    ])
  return (
    !take.isEmpty && JSON.stringify(signature(offered)) === JSON.stringify(signature(take.document))
  )
})
const leftOut = computed(() => {
  const from = source.value
  if (!from) return ''
  const ground = from.ground && leaveOutGround.value ? ' and the ground' : ''
  if (from.kind === 'photographic') return 'read as a photograph'
  return from.format === 'SVG'
    ? `as declared in the file${ground && ', without the ground'}`
    : `edge blends${ground} left out`
})

function build() {
  if (proposal.value) take.change(proposal.value.document)
}
</script>

<template>
  <main class="grid grid-cols-[196px_minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <SourceRail
      :sources="sources"
      :selected="source?.id"
      :reading="brand.reading"
      @select="select"
      @file="emit('file', $event)"
      @cancel="brand.cancelReading()"
    />
    <div class="flex min-h-0 flex-col gap-2.5 relative overflow-y-auto p-4 pt-3" tabindex="-1">
      <EmptySource v-if="!source" :is-over="isOver" @file="emit('file', $event)" />
      <template v-else>
        <div
          class="keeps-color flex min-h-44 flex-1 items-center justify-center border bg-plate p-3"
          :class="isOver ? 'border-2 border-dashed border-ink' : 'border-ink'"
        >
          <img
            :key="source.id"
            :src="`/api/sources/${source.id}/preview`"
            :alt="`The picture ${source.name}`"
            class="max-h-64 max-w-full object-contain"
          />
        </div>
        <div class="flex min-h-8 items-center gap-3">
          <h2 class="text-body">{{ countOf(offers.length, 'colour', 'colours') }} found</h2>
          <p class="text-quiet">{{ leftOut }}</p>
          <SwitchGroup v-if="source.ground">
            <div class="ml-auto flex items-center gap-2">
              <SwitchLabel>Leave out the ground, {{ source.ground }}</SwitchLabel>
              <Switch
                v-model="leaveOutGround"
                class="flex h-5 w-9 border border-ink p-0.5"
                :class="leaveOutGround ? 'justify-end bg-ink' : 'justify-start bg-sheet'"
              >
                <span class="h-full w-3.5" :class="leaveOutGround ? 'bg-sheet' : 'bg-ink'"></span>
              </Switch>
            </div>
          </SwitchGroup>
        </div>
        <FoundColors :offers="offers" :proposal="proposal" @choose="choose" />
      </template>
    </div>
    <InspectorPanel>
      <p v-if="error" role="alert" class="font-semibold">{{ error }}</p>
      <SuggestedStart
        v-if="proposal"
        :proposal="proposal"
        :is-built="isBuilt"
        :failing="take.failing"
        :replaces="!take.isEmpty"
        @build="build"
      />
      <template v-else-if="!source">
        <h2 class="text-title">What happens here</h2>
        <p class="mt-2">
          The colours of the artwork are held: nothing moves them later unless you release them.
          Grounds and text are made from the primary, so that the pairs a page needs can be read.
        </p>
      </template>
    </InspectorPanel>
  </main>
</template>
