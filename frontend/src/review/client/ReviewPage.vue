<script setup lang="ts">
import { ref } from 'vue'
import { useWorkspace } from '@/ui/useWorkspace'
import ReviewTable from './ReviewTable.vue'
import type { Talk } from './talk'
import { useReview } from './useReview'

/** A client’s page: nothing of the application is around it. */
const props = defineProps<{ talk: Talk }>()
useWorkspace()
const review = useReview(props.talk)
const { state, problem } = review
const passphrase = ref('')
</script>

<template>
  <ReviewTable v-if="state === 'shown'" :review="review" :talk="talk" />
  <main v-else class="mx-auto flex min-h-dvh max-w-120 flex-col justify-center gap-3 p-6">
    <p v-if="state === 'opening'" role="status" class="text-quiet">Opening…</p>
    <form
      v-else-if="state === 'locked'"
      class="flex flex-col gap-3"
      @submit.prevent="review.unlock(passphrase)"
    >
      <h1 class="text-title">This review has a passphrase</h1>
      <label class="block"
        >Passphrase
        <input
          v-model="passphrase"
          type="password"
          class="field mt-1"
          autocomplete="current-password"
          maxlength="200"
        />
      </label>
      <p role="alert" class="font-semibold">{{ passphrase ? problem : '' }}</p>
      <button class="button-solid self-start" :disabled="!passphrase">Open it</button>
    </form>
    <template v-else>
      <h1 class="text-title">
        {{ state === 'over' ? 'There is no review here' : 'The review can’t be opened now' }}
      </h1>
      <p role="alert">{{ problem }}</p>
      <p v-if="state === 'over'" class="text-quiet">
        Check that you copied the whole link, or ask your designer for another one.
      </p>
      <button
        v-if="state === 'failed'"
        type="button"
        class="button-solid self-start"
        @click="review.open()"
      >
        Try again
      </button>
    </template>
  </main>
</template>
