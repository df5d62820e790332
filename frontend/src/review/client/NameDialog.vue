<script setup lang="ts">
import { ref } from 'vue'
import SheetDialog from '@/ui/SheetDialog.vue'

/** Who chooses: asked once. */
const props = defineProps<{ shown: boolean }>()
const emit = defineEmits<{ close: []; name: [name: string] }>()
const typed = ref('')
</script>

<template>
  <SheetDialog
    :model-value="props.shown"
    title="Who are you?"
    description="Your designer sees whose choice it is."
    @update:model-value="emit('close')"
  >
    <form class="mt-3 flex flex-col gap-3" @submit.prevent="emit('name', typed.trim())">
      <label class="block"
        >Your name
        <input v-model="typed" class="field mt-1" dir="auto" maxlength="80" autocomplete="name" />
      </label>
      <div class="flex gap-2">
        <button class="button-solid" :disabled="!typed.trim()">Continue</button>
        <button type="button" class="button ml-auto" @click="emit('close')">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
