<script setup lang="ts">
import { Switch, SwitchGroup, SwitchLabel } from '@headlessui/vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { SHORTCUTS, useSingleKeys } from '@/ui/keys'

const shown = defineModel<boolean>({ required: true })
const singleKeys = useSingleKeys()
</script>

<template>
  <SheetDialog v-model="shown" title="Keyboard shortcuts">
    <dl class="rule-list mt-3">
      <div v-for="{ keys, does } in SHORTCUTS" :key="keys" class="flex justify-between gap-4 py-1">
        <dt class="value">{{ keys }}</dt>
        <dd class="text-right">{{ does }}</dd>
      </div>
    </dl>
    <SwitchGroup as="div" class="mt-3 flex items-center gap-3">
      <SwitchLabel class="flex-1">C, W and ? without Ctrl</SwitchLabel>
      <Switch v-model="singleKeys" class="button" :class="singleKeys && 'bg-ink! text-sheet!'">
        {{ singleKeys ? 'On' : 'Off' }}
      </Switch>
    </SwitchGroup>
    <button type="button" class="button-solid mt-4" @click="shown = false">Close</button>
  </SheetDialog>
</template>
