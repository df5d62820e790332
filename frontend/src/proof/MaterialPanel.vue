<script setup lang="ts">
import { computed } from 'vue'
import type { ProofFigures, ProofSettings } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import PictureToneFields from './PictureToneFields.vue'
import PictureViewField from './PictureViewField.vue'
import { setProof } from './settings'
import { usePreviewed } from './usePreviewed'
import { targetFrom, targetOf } from '@/take/roles'
import RadioBar from '@/ui/RadioBar.vue'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

/** The brand’s own logo and main picture, with its crop and tone, and the layer that makes a text on the picture readable. */
const props = defineProps<{ proof: ProofFigures }>()
const brand = useBrandStore()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)
const change = useChange()

const NONE = ''
const images = computed(() => (brand.detail?.sources ?? []).filter((one) => one.kind === 'image'))
const logos = computed(() => [
  { value: NONE, label: 'The name, in letters' },
  ...images.value.map((one) => ({ value: one.id, label: one.name })),
])
const pictures = computed(() => [
  { value: NONE, label: 'Drawn, in the take’s colours' },
  ...images.value.map((one) => ({ value: one.id, label: one.name })),
])
function set(name: 'logo' | 'picture', value: string) {
  if (take.document) take.change(setProof(take.document, { [name]: value || null }))
}

const IN_ONE = [
  { value: '', label: 'Where no ground shows it', in_one: null },
  { value: 'wherever', label: 'Wherever it can’t be seen', in_one: true },
  { value: 'never', label: 'Never', in_one: false },
]
const inOne = computed(
  () => IN_ONE.find((one) => one.in_one === (settings.value?.logo_in_one ?? null))?.value ?? '',
)
function setInOne(value: string) {
  const logo_in_one = IN_ONE.find((one) => one.value === value)?.in_one ?? null
  if (take.document) take.change(setProof(take.document, { logo_in_one }))
}

const PLACES = [
  { value: 'behind', label: 'Behind the words' },
  { value: 'beside', label: 'Beside them' },
] as const
const { preview, set: setPicture } = usePreviewed(
  (document, changes: Partial<Pick<ProofSettings, 'picture_view' | 'picture_tone'>>) =>
    setProof(document, changes),
)

/** Where the picture lies: the ground of the opening, in whose colours its text is set. */
const opening = computed(() => {
  const id = props.proof.sections.find(
    (one) => one.page === 'home' && one.section === 'opening',
  )?.ground
  return props.proof.grounds.find((one) => one.id === id)
})

const BARE = 'bare'
const overlays = computed(() => {
  const { over_picture: over, layer } = props.proof
  const percent = over?.is_automatic && layer ? `, ${percentOf(layer.alpha)}` : ''
  return [
    { value: NONE, label: `As much ${opening.value?.name ?? ''} as the text needs${percent}` },
    ...(take.shown?.overlays ?? []).map((one) => ({
      value: one.id,
      label: `${one.name}, ${percentOf(one.alpha)}`,
    })),
    { value: BARE, label: 'Nothing' },
  ]
})
const overlay = computed(() =>
  settings.value?.bare_picture && !settings.value.overlay
    ? BARE
    : (settings.value?.overlay ?? NONE),
)
function setOverlay(value: string) {
  const isOwn = value !== NONE && value !== BARE
  const chosen = { overlay: isOwn ? value : null, bare_picture: value === BARE }
  if (take.document) take.change(setProof(take.document, chosen))
}
const percentOf = (alpha: number) => `${Math.round(alpha * 100).toString()}%`

/** A colour that is no swatch's, such as Tint's, can't be an overlay's. */
const canKeep = computed(() => opening.value && !opening.value.key.startsWith('#'))
/** The automatic layer becomes an overlay of the take, which files have and which can be changed. */
function keep() {
  const { layer } = props.proof
  const ground = opening.value
  const document = take.document
  if (!layer || !ground || !document) return
  const color = targetOf(document, ground.key) ?? targetFrom(ground.key)
  const name = `${ground.name} over picture`
  void change.make({ kind: 'add overlay', name, color, opacity: layer.alpha, on_picture: true })
}
</script>

<template>
  <section v-if="settings" aria-label="Own material">
    <h2 class="mb-2 text-title leading-tight">Logo and picture</h2>
    <h3 class="text-quiet">Logo in the header</h3>
    <ChoiceList
      class="mt-1"
      label="Logo"
      align="left"
      :model-value="settings.logo ?? NONE"
      :options="logos"
      @update:model-value="set('logo', $event)"
    />
    <template v-if="settings.logo">
      <h3 class="mt-3 text-quiet">In one colour</h3>
      <ChoiceList
        class="mt-1"
        label="Logo in one colour"
        align="left"
        :model-value="inOne"
        :options="IN_ONE"
        @update:model-value="setInOne($event)"
      />
    </template>
    <h3 class="mt-3 text-quiet">Picture of the pages</h3>
    <ChoiceList
      class="mt-1"
      label="Picture"
      align="left"
      :model-value="settings.picture ?? NONE"
      :options="pictures"
      @update:model-value="set('picture', $event)"
    />
    <template v-if="settings.picture">
      <RadioBar
        class="mt-2"
        label="Where the picture goes"
        :model-value="settings.picture_place"
        :options="PLACES"
        @update:model-value="
          take.document && take.change(setProof(take.document, { picture_place: $event }))
        "
      />
      <PictureViewField
        :source="settings.picture"
        :view="settings.picture_view"
        @preview="preview({ picture_view: $event })"
        @set="setPicture({ picture_view: $event })"
      />
      <PictureToneFields
        :tone="settings.picture_tone"
        @preview="preview({ picture_tone: $event })"
        @set="setPicture({ picture_tone: $event })"
      />
    </template>
    <template v-if="settings.picture && settings.picture_place === 'behind'">
      <h3 class="mt-3 text-quiet">Overlay on the picture</h3>
      <ChoiceList
        class="mt-1"
        label="Overlay on the picture"
        align="left"
        :model-value="overlay"
        :options="overlays"
        @update:model-value="setOverlay($event)"
      />
      <template v-if="overlay === NONE && proof.layer && canKeep">
        <button type="button" class="button mt-2" @click="keep">Keep it as an overlay</button>
        <p class="mt-1.5 text-quiet">
          The lowest opacity at which all text passes over every pixel of the picture. As an overlay
          of the take it is in your files.
        </p>
      </template>
    </template>
    <p v-if="images.length" class="mt-3 text-quiet">
      Click a picture on the page to put another one of yours there.
    </p>
    <p v-if="!images.length" class="mt-3 text-quiet">
      Add a logo or a picture in Source, and it can stand on the pages.
    </p>
  </section>
</template>
