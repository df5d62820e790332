<script setup lang="ts">
import { computed, ref } from 'vue'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { useChange } from './useChange'
import { api, explain, answerOf } from '@/api/client'
import { linesOf } from './dependents'
import { colorChoices, targetFrom } from './roles'
import { useTakeStore } from './take'

const props = defineProps<{ owner: string; name: string }>()
const emit = defineEmits<{ removed: [] }>()
const take = useTakeStore()
const change = useChange({ saysItself: true })
const isAsking = ref(false)
const chosen = ref('')

/** What uses it, one line each. */
const uses = ref<string[]>([])
const others = computed(() =>
  take.document
    ? colorChoices(take.document).filter((one) => targetFrom(one.value).swatch !== props.owner)
    : [],
)

async function ask() {
  const { document } = take
  if (!document) return
  try {
    const body = { document, owner: props.owner }
    uses.value = linesOf(await answerOf(api.POST('/api/dependents', { body })))
  } catch (reason) {
    change.problem.value = explain(reason)
    return
  }
  chosen.value = others.value[0]?.value ?? ''
  if (uses.value.length) isAsking.value = true
  else void remove(undefined)
}

async function remove(key: string | undefined) {
  isAsking.value = false
  const instead = key ? targetFrom(key) : null
  await change.make({ kind: 'remove', owner: props.owner, instead })
  if (!change.problem.value) emit('removed')
}
</script>

<template>
  <div>
    <button type="button" class="button" @click="ask">Remove</button>
    <p v-if="change.problem.value" role="alert" class="mt-1 font-semibold">
      {{ change.problem.value }}
    </p>
    <SheetDialog v-model="isAsking" :title="`Remove ${name}`">
      <p class="mt-2">These use it now. Choose the colour that replaces it.</p>
      <ul class="rule-list mt-2 max-h-48 overflow-y-auto">
        <li v-for="line in uses" :key="line" class="py-1">{{ line }}</li>
      </ul>
      <ChoiceList
        v-model="chosen"
        class="mt-3"
        label="In its place"
        align="left"
        up
        :options="others"
      />
      <div class="mt-4 flex gap-2">
        <button type="button" class="button-solid" :disabled="!chosen" @click="remove(chosen)">
          Remove
        </button>
        <button type="button" class="button ml-auto" @click="isAsking = false">Cancel</button>
      </div>
    </SheetDialog>
  </div>
</template>
