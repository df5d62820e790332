<script setup lang="ts">
import { computed, ref } from 'vue'
import type { TakeChange, TakeDocument } from '@/api/types'
import ActionMenu from '@/ui/ActionMenu.vue'
import RenameDialog from '@/ui/RenameDialog.vue'
import { useSelection } from '@/take/useSelection'
import { ADDED_ROLES } from '@/api/constants'
import { roleLabel, targetFrom } from '@/take/roles'

const props = defineProps<{
  document: TakeDocument
  make: (change: TakeChange) => Promise<void>
}>()
const { selected } = useSelection('swatch')
const isNaming = ref(false)

const OWN = 'own'
const actions = computed(() => [
  ...ADDED_ROLES.filter((role) => !props.document.roles.some((one) => one.role === role)).map(
    (role) => ({ value: role, label: roleLabel([], role) }),
  ),
  { value: OWN, label: 'Custom role' },
])
function act(role: string) {
  if (role === OWN) isNaming.value = true
  else void props.make({ kind: 'give', role, ...target() })
}
/** The selected colour has it; else the server finds one. */
const target = () => (selected.value ? targetFrom(selected.value) : { swatch: null, step: null })

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
