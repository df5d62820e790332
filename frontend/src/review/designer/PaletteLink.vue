<script setup lang="ts">
import { ref } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { NewLink } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useCopy } from '@/ui/useCopy'

/** Just a link to the palette: what a colleague gets who only needs the values. */
const brand = useBrandStore()
const take = useTakeStore()
const { copyValue, isCopied } = useCopy()
const made = ref<{ link: NewLink; review: string }>()
const problem = ref('')
const isMaking = ref(false)

async function make() {
  const [brandId, takeId] = [brand.detail?.brand.id, take.take?.id]
  if (!brandId || !takeId) return
  isMaking.value = true
  problem.value = ''
  try {
    await take.allSaved()
    const found = await answerOf(
      api.POST('/api/brands/{brand_id}/reviews', {
        params: { path: { brand_id: brandId } },
        body: {
          takes: [{ take: takeId, name: null }],
          pages: [],
          widths: ['wide'],
          greeting: '',
          may_comment: false,
          may_choose: false,
          may_approve: false,
          voice: null,
          link: { name: '', until: null, passphrase: null, mail: null },
        },
      }),
    )
    // Another take was opened meanwhile: the link is not of that one.
    if (takeId !== take.take?.id) return
    made.value = { link: found.link, review: found.review.id }
    if (found.link.address) await copyValue(found.link.address, 'palette link')
  } catch (reason) {
    problem.value = explain(reason)
  } finally {
    isMaking.value = false
  }
}
</script>

<template>
  <section aria-label="A link to the palette" class="mt-4">
    <h3 class="text-title leading-tight">A link to the palette</h3>
    <p class="text-quiet">A page with the colours and their values, and nothing else.</p>
    <template v-if="made">
      <template v-if="made.link.address">
        <input
          class="field value mt-2"
          readonly
          aria-label="The link to the palette"
          :value="made.link.address"
          @focus="($event.target as HTMLInputElement).select()"
        />
        <p role="status" class="mt-1 font-semibold">
          {{ isCopied('palette link') ? 'Copied. ' : '' }}It won’t be shown again.
        </p>
      </template>
      <template v-else>
        <p class="mt-2">Nobody else can open a link to this machine. Send it as a file:</p>
        <a class="button mt-1" :href="`/api/reviews/${made.review}/file`" download
          >Save the palette as a page</a
        >
      </template>
    </template>
    <button v-else type="button" class="button mt-2" :disabled="isMaking" @click="make">
      {{ isMaking ? 'Making the link…' : 'Make a link' }}
    </button>
    <p v-if="problem" role="alert" class="mt-1 font-semibold">{{ problem }}</p>
  </section>
</template>
