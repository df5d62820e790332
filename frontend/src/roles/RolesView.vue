<script setup lang="ts">
import { computed, shallowRef, watch } from 'vue'
import EmptyStep from '@/ui/EmptyStep.vue'
import InspectorPanel from '@/page/InspectorPanel.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import PlanBar from './PlanBar.vue'
import RampChart from './RampChart.vue'
import RoleInspector from './RoleInspector.vue'
import RolePanels from './RolePanels.vue'
import RoleTools from './RoleTools.vue'
import { useChange } from '@/take/useChange'
import { useRamps } from '@/take/useRamps'
import { useSelection } from '@/take/useSelection'
import { usePick } from '@/page/usePick'
import { isExtra } from '@/take/roles'
import { useTakeStore } from '@/take/take'

defineProps<{ isOver: boolean }>()
defineEmits<{ files: [files: File[]]; paste: [text: string] }>()
const take = useTakeStore()
const change = useChange({ saysItself: true })
const { rows, overlays, problem: unanswered, askAgain } = useRamps({ isShared: false })
const { selected, select } = useSelection('swatch')
const { selected: role, select: selectRole } = useSelection('role')

/** The pairs that fall short while nothing is being tried: what a gesture breaks is counted from there. */
const shortBefore = shallowRef(new Set<string>())
watch(
  () => [take.preview, take.evaluation] as const,
  ([preview, evaluation]) => {
    if (!preview && evaluation)
      shortBefore.value = new Set(
        evaluation.pairs.filter((one) => one.outcome === 'fails').map(({ id }) => id),
      )
  },
  { immediate: true },
)
const broken = computed(() =>
  take.preview
    ? take.preview.evaluation.pairs.filter(
        (one) => one.outcome === 'fails' && !shortBefore.value.has(one.id),
      )
    : [],
)
const { pickRole } = usePick()
const assignment = computed(() => take.shown?.roles.find((one) => one.role === role.value))

function remove(name: string) {
  if (!isExtra(name)) return
  selectRole(undefined)
  void change.make({ kind: 'remove role', role: name })
}
</script>

<template>
  <main class="grid grid-cols-[minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <h2 class="sr-only">Roles: every colour in steps</h2>
    <div class="flex min-h-0 flex-col gap-2 p-4 pt-3">
      <EmptyStep
        v-if="take.isEmpty"
        title="No roles yet"
        text="Here you see every colour’s tints and shades, lined up by contrast, with the roles on them. Build a palette first."
      />
      <template v-else-if="take.shown && take.evaluation">
        <RoleTools :document="take.shown" :broken="broken" :make="change.make" />
        <RampChart
          class="min-h-80"
          :document="take.shown"
          :evaluation="take.evaluation"
          :rows="rows"
          :selected="selected"
          :selected-role="role"
          :broken="broken.length"
          @select="select"
          @role="selectRole"
          @show="change.show"
          @keep="change.keep"
          @drop="change.drop"
          @remove="remove"
        />
        <NoticeBar
          v-if="unanswered"
          :text="`The ramps aren’t up to date. ${unanswered}`"
          again
          @again="askAgain"
        />
        <PlanBar :document="take.shown" :evaluation="take.evaluation" />
        <NoticeBar
          v-if="change.problem.value"
          :text="change.problem.value"
          @dismiss="change.problem.value = ''"
        />
      </template>
    </div>
    <InspectorPanel
      view="roles"
      own="Roles"
      :chosen="assignment?.role"
      chosen-name="Role"
      :document="take.isEmpty ? undefined : take.shown"
      @pick="pickRole"
    >
      <template #chosen>
        <RoleInspector
          v-if="assignment && take.shown"
          :key="assignment.role"
          :assignment="assignment"
          :rows="rows"
          :make="change.make"
          @remove="remove(assignment.role)"
          @close="selectRole(undefined)"
        />
      </template>
      <RolePanels
        v-if="take.shown && !take.isEmpty"
        :document="take.shown"
        :overlays="overlays"
        :said="change.said.value"
        @role="selectRole"
      />
    </InspectorPanel>
  </main>
</template>
