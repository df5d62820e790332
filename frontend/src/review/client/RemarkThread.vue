<script setup lang="ts">
import { ref } from 'vue'
import type { Remark } from '@/api/types'
import { formatAge } from '@/ui/format'

/** A remark with its answers. One’s own can be changed and taken back while they are new. */
const props = defineProps<{
  remarks: readonly Remark[]
  number: number
  about: string
  isChosen: boolean
  mayAnswer: boolean
  /** Whether it is the designer who looks. */
  isDesigner?: boolean
  longest: number
  edit: (remark: string, text: string) => Promise<boolean>
  takeBack: (remark: string) => Promise<boolean>
  answer?: ((text: string) => Promise<boolean>) | undefined
}>()
const emit = defineEmits<{ choose: [] }>()
const changing = ref<string>()
const text = ref('')
const isAnswering = ref(false)

function change(remark: Remark) {
  changing.value = remark.id
  text.value = remark.text
}
async function keep() {
  if (changing.value && (await props.edit(changing.value, text.value.trim())))
    changing.value = undefined
}
async function sendAnswer() {
  if (!text.value.trim() || !(await props.answer?.(text.value.trim()))) return
  isAnswering.value = false
  text.value = ''
}
function startAnswer() {
  text.value = ''
  changing.value = undefined
  isAnswering.value = true
}
</script>

<template>
  <article
    class="border bg-sheet px-2.5 py-2"
    :class="isChosen ? 'border-ink shadow-[inset_3px_0_0_var(--ink)]' : 'border-hair'"
  >
    <button type="button" class="block w-full text-left font-semibold" @click="emit('choose')">
      {{ number }} · {{ about }}
      <span v-if="remarks[0]?.is_resolved" class="font-normal text-quiet">· resolved</span>
    </button>
    <div
      v-for="(remark, row) in remarks"
      :key="remark.id"
      :class="row > 0 && 'mt-2 border-t border-hair pt-2'"
    >
      <form v-if="changing === remark.id" @submit.prevent="keep">
        <textarea
          v-model="text"
          class="field min-h-14 py-1"
          dir="auto"
          aria-label="The remark"
          :maxlength="longest"
        ></textarea>
        <div class="mt-1 flex gap-2">
          <button class="button-solid" :disabled="!text.trim()">Save</button>
          <button type="button" class="button" @click="changing = undefined">Cancel</button>
        </div>
      </form>
      <template v-else>
        <p v-if="remark.is_taken_back" class="text-quiet">This remark was deleted.</p>
        <p v-else class="whitespace-pre-line [overflow-wrap:anywhere]" dir="auto">
          {{ remark.text }}
        </p>
        <p class="text-quiet">
          <!-- Whoever calls themselves as the studio does is still told from it. -->
          <b v-if="remark.is_designer" class="text-ink" dir="auto">{{ remark.author }}</b>
          <span v-else dir="auto">{{ remark.author }}</span>{{
            remark.is_designer && !isDesigner ? ', your designer' : ''
          }}, {{ formatAge(remark.created_at)
          }}<template v-if="remark.edited_at">, changed</template>
          <template v-if="remark.is_own">
            · <button type="button" class="underline" @click="change(remark)">Change</button> ·
            <button type="button" class="underline" @click="takeBack(remark.id)">Delete</button>
          </template>
        </p>
      </template>
    </div>
    <form v-if="isAnswering" class="mt-2" @submit.prevent="sendAnswer">
      <textarea
        v-model="text"
        class="field min-h-14 py-1"
        dir="auto"
        aria-label="Your answer"
        :maxlength="longest"
      ></textarea>
      <div class="mt-1 flex gap-2">
        <button class="button-solid" :disabled="!text.trim()">Answer</button>
        <button type="button" class="button" @click="isAnswering = false">Cancel</button>
      </div>
    </form>
    <div v-else class="mt-1 flex gap-3">
      <button v-if="mayAnswer" type="button" class="underline" @click="startAnswer">Answer</button>
      <slot />
    </div>
  </article>
</template>
