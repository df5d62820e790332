<script setup lang="ts">
import { useRouter } from 'vue-router'
import { useBrandStore } from '@/stores/brand'
import { useTakeStore } from '@/stores/take'

const take = useTakeStore()
const brand = useBrandStore()
const router = useRouter()

async function keepBoth() {
  const made = await take.keepMine()
  if (!made) return
  await brand.open(made.brand_id)
  await router.push({ name: 'source', params: { brandId: made.brand_id, takeId: made.id } })
}
</script>

<template>
  <div
    v-if="take.conflict"
    role="alert"
    class="flex flex-wrap items-center gap-3 border-b-2 border-ink bg-sheet px-4 py-2"
  >
    <p class="flex-1">
      This take was changed in another window (revision {{ take.conflict.revision }}). Both states
      are kept until you choose.
    </p>
    <button type="button" class="button" @click="take.takeTheirs()">Show the other one</button>
    <button type="button" class="button-solid" @click="keepBoth">
      Keep this one as a new take
    </button>
  </div>
</template>
