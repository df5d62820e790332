<script setup lang="ts">
import type { LinkWish } from './useReviews'

/** Whom a link is for, until when it works, and what protects it. */
const wish = defineModel<LinkWish>({ required: true })
defineProps<{ canMail: boolean }>()
const today = new Date().toISOString().slice(0, 10)
const set = (changes: Partial<LinkWish>) => (wish.value = { ...wish.value, ...changes })
const textOf = (event: Event) => (event.target as HTMLInputElement).value
</script>

<template>
  <div class="grid grid-cols-2 gap-3 max-[600px]:grid-cols-1">
    <label class="block"
      >Recipient
      <input
        class="field mt-1"
        dir="auto"
        maxlength="80"
        autocomplete="off"
        placeholder="Ana, or the board"
        :value="wish.name"
        @input="set({ name: textOf($event) })"
      />
    </label>
    <label class="block"
      >Ends after
      <input
        type="date"
        class="field mt-1"
        :min="today"
        :value="wish.until ?? ''"
        @input="set({ until: textOf($event) || null })"
      />
    </label>
    <label class="block"
      >Passphrase (optional)
      <input
        class="field mt-1"
        minlength="4"
        maxlength="200"
        autocomplete="off"
        :value="wish.passphrase ?? ''"
        @input="set({ passphrase: textOf($event) || null })"
      />
    </label>
    <label v-if="canMail" class="block"
      >Email it to (optional)
      <input
        type="email"
        class="field mt-1"
        maxlength="190"
        autocomplete="off"
        placeholder="or copy the link yourself"
        :value="wish.mail ?? ''"
        @input="set({ mail: textOf($event) || null })"
      />
    </label>
  </div>
</template>
