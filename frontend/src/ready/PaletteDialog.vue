<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import TagsField from './TagsField.vue'
import SheetDialog from '@/ui/SheetDialog.vue'

/** Name and tags of a palette of the studio: of a take that is to be kept, or of one that is there. */
const props = defineProps<{
  title: string
  description?: string
  act: string
  name: string
  tags: readonly string[]
  mostTags: number
}>()
const shown = defineModel<boolean>({ required: true })
const emit = defineEmits<{ done: [name: string, tags: string[]] }>()
const typedName = ref('')
const typedTags = ref<string[]>([])

watch(
  shown,
  () => {
    typedName.value = props.name
    typedTags.value = [...props.tags]
  },
  { immediate: true },
)

const isComplete = computed(
  () => typedName.value.trim() !== '' && typedTags.value.length <= props.mostTags,
)

function done() {
  if (!isComplete.value) return
  emit('done', typedName.value.trim(), typedTags.value)
  shown.value = false
}
</script>

<template>
  <SheetDialog v-model="shown" :title="title" v-bind="description ? { description } : {}">
    <form class="mt-3 flex flex-col gap-3" @submit.prevent="done">
      <div>
        <label for="palette-name" class="block font-semibold">Name</label>
        <input
          id="palette-name"
          v-model="typedName"
          class="field mt-1"
          maxlength="80"
          autocomplete="off"
          required
        />
      </div>
      <TagsField id="palette-tags" v-model="typedTags" :most="mostTags" />
      <p v-if="typedTags.length > mostTags" role="alert">At most {{ mostTags }} tags.</p>
      <div class="mt-1 flex gap-2">
        <button class="button-solid" :disabled="!isComplete">
          {{ act }}
        </button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
