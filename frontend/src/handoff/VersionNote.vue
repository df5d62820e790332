<script setup lang="ts">
import { computed } from 'vue'
import { useRoute, useRouter } from 'vue-router'
import type { Version } from '@/api/types'
import { useCopy } from '@/ui/useCopy'

/** Which version leaves, and its address, which keeps working. */
const props = defineProps<{ newest: Version | undefined; isCut: boolean }>()
const emit = defineEmits<{ cut: [] }>()
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
    <h2 class="text-title leading-tight">
      {{ newest && isCut ? `Version ${newest.number}` : 'Not a version yet' }}
    </h2>
    <template v-if="newest && isCut">
      <p class="text-quiet">What you see is kept under an address that never changes.</p>
      <button type="button" class="button mt-2" @click="copyValue(address, 'address')">
        {{ isCopied('address') ? 'Copied' : 'Copy its address' }}
      </button>
    </template>
    <template v-else>
      <p class="text-quiet">
        Files come from a version. The first one you take saves it<template v-if="newest"
          >; the newest is version {{ newest.number }}</template
        >.
      </p>
      <button type="button" class="button mt-2" @click="emit('cut')">Save a version now</button>
    </template>
  </section>
</template>
