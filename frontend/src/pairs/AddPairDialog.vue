<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { TakeChange, TakeDocument, Usage } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import SheetDialog from '@/ui/SheetDialog.vue'
import { colorChoices, roleLabel } from '@/take/roles'
import { USAGES } from './usages'

const props = defineProps<{ document: TakeDocument }>()
const emit = defineEmits<{ add: [change: TakeChange] }>()
const shown = defineModel<boolean>({ required: true })

const OWN = 'own'
const text = ref('ink')
const ground = ref('paper')
const usage = ref<Usage>('body text')
const sample = ref('')
const typed = ref({ text: '', ground: '' })
const problem = ref('')
watch(shown, () => (problem.value = ''))

const colors = computed(() => [
  ...props.document.roles.map((one) => ({
    value: one.role,
    label: roleLabel(props.document.roles, one.role),
  })),
  ...colorChoices(props.document).map((one) => ({ ...one, label: `Swatch ${one.label}` })),
  { value: OWN, label: 'Another colour…' },
])
const texts = computed(() => [
  ...colors.value,
  ...props.document.overlays.map((one) => ({ value: one.id, label: one.name })),
])

/** A colour typed in any notation becomes a value of its own. */
async function keyOf(end: 'text' | 'ground'): Promise<string> {
  const chosen = end === 'text' ? text.value : ground.value
  if (chosen !== OWN) return chosen
  return (await answerOf(api.POST('/api/colors', { body: { text: typed.value[end] || '?' } }))).hex
}

async function add() {
  try {
    emit('add', {
      kind: 'add pair',
      text: await keyOf('text'),
      ground: await keyOf('ground'),
      usage: usage.value,
      sample: sample.value.trim() || 'Sample of the text',
    })
    shown.value = false
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <SheetDialog v-model="shown" title="Add a pair">
    <form class="mt-3 grid gap-2" @submit.prevent="add">
      <div>
        <span class="text-small text-quiet" aria-hidden="true">Text or element</span>
        <ChoiceList v-model="text" label="Text or element" align="left" :options="texts" />
      </div>
      <input
        v-if="text === OWN"
        v-model="typed.text"
        class="field value"
        aria-label="Colour of the text or element, in any CSS notation"
      />
      <div>
        <span class="text-small text-quiet" aria-hidden="true">Ground</span>
        <ChoiceList v-model="ground" label="Ground" align="left" :options="colors" />
      </div>
      <input
        v-if="ground === OWN"
        v-model="typed.ground"
        class="field value"
        aria-label="Colour of the ground, in any CSS notation"
      />
      <div>
        <span class="text-small text-quiet" aria-hidden="true">Usage</span>
        <ChoiceList v-model="usage" label="Usage" align="left" :options="USAGES" />
      </div>
      <label class="text-small text-quiet"
        >Sample <input v-model="sample" class="field text-ink" maxlength="80"
      /></label>
      <p role="alert" class="font-semibold empty:hidden">{{ problem }}</p>
      <div class="mt-2 flex gap-2">
        <button class="button-solid">Add</button>
        <button type="button" class="button ml-auto" @click="shown = false">Cancel</button>
      </div>
    </form>
  </SheetDialog>
</template>
