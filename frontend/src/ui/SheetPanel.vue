<script setup lang="ts">
import { Dialog, DialogDescription, DialogPanel, DialogTitle } from '@headlessui/vue'

/** What a sheet stands in: over everything, with the focus in it. */
defineProps<{ title: string; description?: string | undefined; wide?: boolean | undefined }>()
const shown = defineModel<boolean>({ required: true })
</script>

<template>
  <Dialog :open="shown" class="relative z-40" @close="shown = false">
    <div class="fixed inset-0 bg-ink/20" aria-hidden="true"></div>
    <div class="fixed inset-0 flex items-center justify-center p-4">
      <DialogPanel
        class="max-h-full overflow-y-auto border border-ink bg-sheet p-5 text-ink"
        :class="wide ? 'w-150' : 'w-96'"
      >
        <DialogTitle class="text-title font-semibold">{{ title }}</DialogTitle>
        <DialogDescription v-if="description" class="mt-1 text-quiet">{{
          description
        }}</DialogDescription>
        <slot />
      </DialogPanel>
    </div>
  </Dialog>
</template>
