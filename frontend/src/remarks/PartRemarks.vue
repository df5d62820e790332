<script setup lang="ts">
import { computed, ref } from 'vue'
import { explain } from '@/api/client'
import { formatAge } from '@/ui/format'
import { useCameBackStore } from './cameBack'

/** Clients’ remarks of the page that is shown, or of the part of it that is chosen. */
const props = defineProps<{ page: string; part: string | undefined; brandId: string }>()
const emit = defineEmits<{ choose: [part: string] }>()
const cameBack = useCameBackStore()
const problem = ref('')
const shown = computed(() =>
  cameBack.remarks
    .map((one, row) => ({ ...one, number: row + 1 }))
    .filter(
      ({ remark: { about } }) =>
        about.page === props.page && (!props.part || props.part.startsWith(about.part)),
    ),
)
async function resolve(review: string, remark: string) {
  try {
    await cameBack.resolve(review, remark)
    problem.value = ''
  } catch (reason) {
    problem.value = explain(reason)
  }
}
</script>

<template>
  <section
    v-if="shown.length"
    aria-label="Clients’ remarks"
    class="mb-3"
    data-testid="part-remarks"
  >
    <h2 class="font-semibold">Clients’ remarks</h2>
    <p v-if="problem" role="alert" class="font-semibold">{{ problem }}</p>
    <article
      v-for="{ review, remark, number } in shown"
      :key="remark.id"
      class="mt-1.5 border border-ink bg-sheet px-2 py-1.5"
    >
      <button
        type="button"
        class="block w-full text-left font-semibold"
        @click="emit('choose', remark.about.part)"
      >
        {{ number }} · {{ remark.about.name }}
      </button>
      <p class="whitespace-pre-line [overflow-wrap:anywhere]" dir="auto">{{ remark.text }}</p>
      <p class="text-quiet">
        <span dir="auto">{{ remark.author }}</span>, {{ formatAge(remark.created_at) }}
      </p>
      <div class="mt-1 flex gap-3">
        <RouterLink
          class="underline"
          :to="{ name: 'reviews', params: { brandId, reviewId: review } }"
          >Answer</RouterLink
        >
        <button type="button" class="underline" @click="resolve(review, remark.id)">Resolve</button>
      </div>
    </article>
  </section>
</template>
