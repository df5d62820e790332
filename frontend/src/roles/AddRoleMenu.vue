<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TakeChange, TakeDocument } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import RenameDialog from '@/ui/RenameDialog.vue'
import { useSelection } from '@/frame/useSelection'
import { EXTRA_ROLES, targetFrom } from '@/take/roles'
import type { Target } from '@/take/roles'
import { roleName } from '@/ui/format'

const props = defineProps<{
  document: TakeDocument
  make: (change: TakeChange) => Promise<void>
}>()
const { selected } = useSelection('swatch')
const isNaming = ref(false)

const OWN = 'own'
const actions = computed(() => [
  ...EXTRA_ROLES.filter((role) => !props.document.roles.some((one) => one.role === role)).map(
    (role) => ({ value: role, label: roleName(role) }),
  ),
  { value: OWN, label: 'Custom role' },
])
function act(role: string) {
  if (role === OWN) isNaming.value = true
  else void props.make({ kind: 'give', role, ...target() })
}
/** The selected colour has it; else a swatch that has nothing to do yet. */
function target(): Target {
  if (selected.value) return targetFrom(selected.value)
  const busy = new Set(props.document.roles.map((one) => one.swatch))
  const free =
    props.document.swatches.find((one) => !busy.has(one.id)) ?? props.document.swatches[0]
  return { swatch: free?.id ?? '', step: null }
}

function addOwn(name: string) {
  void props.make({ kind: 'own role', name, ...target() })
}
</script>

<template>
  <ActionMenu class="relative" :actions="actions" @act="act">Add a role</ActionMenu>
  <RenameDialog
    v-model="isNaming"
    title="New role"
    label="Name of the role"
    verb="Add"
    name=""
    :longest="40"
    @rename="addOwn"
  />
</template>
