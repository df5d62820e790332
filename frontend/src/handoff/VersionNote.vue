<script setup lang="ts">
import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import { api, explain, answerOf } from '@/api/client'
import type { Version } from '@/api/types'
import { useCameBackStore } from '@/remarks/cameBack'
import { useTakeStore } from '@/take/take'
import { useCopy } from '@/ui/useCopy'

/** Which version leaves, and its address, which keeps working. */
const props = defineProps<{ newest: Version | undefined; isCut: boolean }>()
const emit = defineEmits<{ cut: [] }>()
const take = useTakeStore()
const cameBack = useCameBackStore()
const problem = ref('')
/** What a client approved of this take, and whether it is what leaves from here now. */
const approved = computed(() => cameBack.approved)
const leaving = computed(
  () => take.looking?.number ?? (props.isCut ? props.newest?.number : undefined),
)
async function lookAtApproved() {
  const [id, number] = [take.take?.id, approved.value?.version]
  if (!id || !number) return
  try {
    const path = { take_id: id, number }
    const found = await answerOf(
      api.GET('/api/takes/{take_id}/versions/{number}', { params: { path } }),
    )
    if (id === take.take?.id)
      take.look({ number, description: found.description, document: found.document })
  } catch (reason) {
    problem.value = explain(reason)
  }
}
const router = useRouter()
const route = useRoute()
const { copyValue, isCopied } = useCopy()

const address = computed(() => {
  if (!props.newest) return ''
  const { brandId, takeId } = route.params
  const number = props.newest.number.toString()
  const { href } = router.resolve({ name: 'versions', params: { brandId, takeId, number } })
  return `${location.origin}${href}`
})
</script>

<template>
  <section aria-label="Version">
    <div
      v-if="approved"
      class="mb-3 bg-sheet px-2.5 py-2"
      :class="leaving === approved.version ? 'border border-ink' : 'border-3 border-ink'"
      data-testid="approved"
    >
      <p class="font-semibold">
        Version {{ approved.version }} was approved by <span dir="auto">{{ approved.who }}</span>
      </p>
      <p v-if="leaving === approved.version">It is what you hand off here.</p>
      <template v-else>
        <p role="alert">What you hand off here is not what was approved.</p>
        <button type="button" class="button-solid mt-1.5" @click="lookAtApproved">
          Hand off version {{ approved.version }}
        </button>
      </template>
      <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
    </div>
    <template v-if="take.looking">
      <h2 class="text-title leading-tight">Version {{ take.looking.number }}</h2>
      <p class="text-quiet">You are looking at this version, so this is what you hand off.</p>
    </template>
    <template v-else>
      <h2 class="text-title leading-tight">
        {{ newest && isCut ? `Version ${newest.number}` : 'Not a version yet' }}
      </h2>
      <template v-if="newest && isCut">
        <p class="text-quiet">This version has an address that never changes.</p>
        <button type="button" class="button mt-2" @click="copyValue(address, 'address')">
          {{ isCopied('address') ? 'Copied' : 'Copy address' }}
        </button>
      </template>
      <template v-else>
        <p class="text-quiet">
          Every handoff is a numbered version. Tonada saves one with your first download<template
            v-if="newest"
            >. The newest is version {{ newest.number }}</template
          >.
        </p>
        <button type="button" class="button mt-2" @click="emit('cut')">Save a version now</button>
      </template>
    </template>
  </section>
</template>
