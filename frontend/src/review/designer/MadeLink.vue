<script setup lang="ts">
import { computed } from 'vue'
import type { NewLink } from '@/api/types'
import { useCopy } from '@/ui/useCopy'

/** A link, the only time that it is shown; or what to do where it would lead a client nowhere. */
const props = defineProps<{ made: NewLink; file: string | undefined }>()
const emit = defineEmits<{ dismiss: [] }>()
const { copyValue, isCopied } = useCopy()
const here = computed(() => `${location.origin}${props.made.path}`)
</script>

<template>
  <section class="border-2 border-ink bg-sheet p-3" aria-label="The new link">
    <h3 class="text-[15px]">
      {{ made.link.name ? `A link for ${made.link.name}` : 'The link' }}
    </h3>
    <template v-if="made.address">
      <p class="text-quiet">
        Copy it now. Tonada doesn’t store it, so it can’t be shown again. You can always make
        another.
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <input
          class="field value min-w-0 flex-1 basis-60"
          readonly
          aria-label="The link"
          :value="made.address"
          @focus="($event.target as HTMLInputElement).select()"
        />
        <button
          type="button"
          class="button-solid"
          @click="copyValue(made.address ?? '', 'new link')"
        >
          {{ isCopied('new link') ? 'Copied' : 'Copy the link' }}
        </button>
        <a class="button" :href="made.path" target="_blank" rel="noopener">Open it</a>
        <button type="button" class="button" @click="emit('dismiss')">Done</button>
      </div>
    </template>
    <template v-else>
      <p class="max-w-160">
        <strong>Nobody else can open a link to this machine.</strong> Tonada runs only on this
        machine, so send the review as a file. It works without a server, and your client’s answers
        come back as a small file or as text.
      </p>
      <div class="mt-2 flex flex-wrap gap-2">
        <a v-if="file" class="button-solid" :href="file" download>Save the review as a file</a>
        <a class="button" :href="here" target="_blank" rel="noopener">View it as the client</a>
        <button type="button" class="button" @click="emit('dismiss')">Done</button>
      </div>
    </template>
    <p v-if="made.mailed" class="mt-2 font-semibold" role="status">The email was sent.</p>
    <p v-if="made.problem" class="mt-2 font-semibold" role="alert">{{ made.problem }}</p>
  </section>
</template>
