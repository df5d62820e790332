<script setup lang="ts">
import { computed, ref } from 'vue'
import { PLAIN_TONE, WHOLE_PICTURE } from '@/api/constants'
import type { PlacedPicture } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import ChoiceList from '@/ui/ChoiceList.vue'
import { pickedFiles } from '@/ui/pickedFiles'
import PictureToneFields from './PictureToneFields.vue'
import PictureViewField from './PictureViewField.vue'
import { placing } from './placedPictures'
import { setProof } from './settings'
import { usePreviewed } from './usePreviewed'

/** Which picture stands in a place of the page: one of the brand’s own in place of the drawn one. */
const props = defineProps<{ page: string; part: string }>()
const brand = useBrandStore()
const take = useTakeStore()

const PLAIN = { view: WHOLE_PICTURE, tone: PLAIN_TONE }
const PAGES = ''
const images = computed(() => (brand.detail?.sources ?? []).filter((one) => one.kind === 'image'))
const choices = computed(() => [
  { value: PAGES, label: 'The page’s own' },
  ...images.value.map((one) => ({ value: one.id, label: one.name })),
])
const placed = computed(() =>
  take.shown?.proof.pictures.find((one) => one.page === props.page && one.part === props.part),
)
const { preview, set } = usePreviewed((document, next: PlacedPicture | undefined) =>
  setProof(document, { pictures: placing(document.proof.pictures, props, next) }),
)
/** Another picture keeps its tone; what stays in view is another matter. */
function choose(source: string) {
  const { page, part } = props
  const { tone } = placed.value ?? PLAIN
  set(source === PAGES ? undefined : { page, part, source, view: PLAIN.view, tone })
}

const problem = ref('')
async function add(event: Event) {
  const files = pickedFiles(event)
  if (!files.length) return
  problem.value = ''
  const source = await brand.addFiles(files)
  if (source?.kind === 'image') choose(source.id)
  else problem.value = source ? 'This is no picture. It is kept in Source.' : brand.problem
}
</script>

<template>
  <div class="mt-3">
    <h3 class="text-quiet">Picture here</h3>
    <ChoiceList
      class="mt-1"
      label="Picture here"
      align="left"
      :model-value="placed?.source ?? PAGES"
      :options="choices"
      @update:model-value="choose"
    />
    <label class="button mt-2 inline-flex cursor-pointer items-center focus-within:outline-3"
      >{{ brand.reading ? 'Reading…' : 'Add a picture'
      }}<input
        type="file"
        class="sr-only"
        accept="image/*,.svg"
        data-testid="picture-file"
        :disabled="brand.reading !== undefined"
        @change="add"
    /></label>
    <p v-if="problem" role="alert" class="mt-1 font-semibold">{{ problem }}</p>
    <template v-if="placed">
      <PictureViewField
        :source="placed.source"
        :view="placed.view"
        @preview="preview({ ...placed, view: $event })"
        @set="set({ ...placed, view: $event })"
      />
      <PictureToneFields
        :tone="placed.tone"
        @preview="preview({ ...placed, tone: $event })"
        @set="set({ ...placed, tone: $event })"
      />
    </template>
  </div>
</template>
