<script setup lang="ts">
import { computed, ref, watch } from 'vue'
import { api, answerOf, explain } from '@/api/client'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { setProof } from './settings'
import { saying } from './ownTexts'
import { inOneLine } from './typeOver'

/** What a part says: typed over here or on the page, in this take or in all of the brand’s. */
const props = defineProps<{ page: string; part: string; usual: string; most: number }>()
const take = useTakeStore()
const brand = useBrandStore()
const own = computed(
  () =>
    take.shown?.proof.texts.find((one) => one.page === props.page && one.part === props.part)
      ?.text ?? '',
)
const typed = ref('')
const said = ref('')
watch(
  () => own.value || props.usual,
  (now) => (typed.value = now),
  { immediate: true },
)
const hasOthers = computed(() => (brand.detail?.takes.length ?? 0) > 1)
const cut = (text: string) => ({ page: props.page, part: props.part, text })

function say(text: string) {
  said.value = ''
  if (!take.document || text === own.value || (!own.value && text === props.usual)) return
  take.change(setProof(take.document, { texts: saying(take.document.proof.texts, cut(text)) }))
}
/** The other takes say the same, but for those that have words of their own there. */
async function everywhere(text: string, before: string) {
  const open = take.take
  if (!open || !brand.detail) return
  try {
    const params = { path: { brand_id: brand.detail.brand.id } }
    const body = { ...cut(text), take: open.id, before }
    const { takes } = await answerOf(api.POST('/api/brands/{brand_id}/texts', { params, body }))
    const count = takes === 1 ? 'one other take' : `${takes.toString()} other takes`
    said.value = text ? `Said in ${count} too.` : `Taken back in ${count} too.`
  } catch (reason) {
    said.value = explain(reason)
  }
}
function reset() {
  const before = own.value
  say('')
  if (hasOthers.value) void everywhere('', before)
}
</script>

<template>
  <div class="mt-3">
    <label class="block"
      ><span class="text-quiet">Says</span>
      <textarea
        v-model="typed"
        class="field w-full"
        dir="auto"
        rows="3"
        :maxlength="most"
        data-testid="own-words"
        @change="say(inOneLine(typed))"
      ></textarea>
    </label>
    <p v-if="own" class="flex flex-wrap gap-x-4">
      <button type="button" class="underline underline-offset-2" @click="say('')">Reset</button>
      <template v-if="hasOthers">
        <button type="button" class="underline underline-offset-2" @click="everywhere(own, '')">
          Say it in every take
        </button>
        <button type="button" class="underline underline-offset-2" @click="reset">
          Reset in every take
        </button>
      </template>
    </p>
    <p v-else class="text-small text-quiet">
      Double-click a text on the page to type over it there.
    </p>
    <p role="status" class="text-small">{{ said }}</p>
  </div>
</template>
