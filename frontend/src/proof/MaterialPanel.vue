<script setup lang="ts">
import { computed, ref } from 'vue'
import { api, explain, answerOf } from '@/api/client'
import type { ProofFigures, TakeDocument, TextStyle } from '@/api/types'
import ChoiceList from '@/ui/ChoiceList.vue'
import { setProof } from './settings'
import { roleLabel, targetFrom, targetOf } from '@/take/roles'
import RadioBar from '@/ui/RadioBar.vue'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** The brand’s own logo and picture, in two colours or plain, and the layer that makes a text on the picture readable. */
const props = defineProps<{ proof: ProofFigures }>()
const brand = useBrandStore()
const take = useTakeStore()
const settings = computed(() => take.shown?.proof)
const problem = ref('')

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
const overlays = computed(() => [
  { value: NONE, label: 'Nothing' },
  ...(take.shown?.overlays ?? []).map((one) => ({
    value: one.id,
    label: `${one.name}, ${Math.round(one.alpha * 100).toString()}%`,
  })),
])
function set(name: 'logo' | 'picture' | 'overlay', value: string) {
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
const ENDS = [
  { end: 'dark', label: 'Dark parts' },
  { end: 'light', label: 'Light parts' },
] as const
const tones = computed(() => [
  { value: NONE, label: 'As it is' },
  ...(take.shown?.roles ?? []).map(({ role }) => ({
    value: role,
    label: roleLabel(take.shown?.roles ?? [], role),
  })),
])
/** A picture is in two colours or as it is; the other end comes along. */
function tone(end: 'dark' | 'light', role: string) {
  if (!take.document) return
  const now = settings.value?.duotone ?? { dark: 'deep', light: 'paper' }
  const duotone = role === NONE ? null : { ...now, [end]: role }
  take.change(setProof(take.document, { duotone }))
}

/** Where the pictures lie: the ground of the opening, in whose colours its text is set. */
const opening = computed(() => {
  const id = props.proof.sections.find(
    (one) => one.page === 'home' && one.section === 'opening',
  )?.ground
  return props.proof.grounds.find((one) => one.id === id)
})

/** The ground itself is laid over the picture, no more of it than every text there needs. */
async function lay() {
  const from = take.begin()
  const document = from?.document
  const source = document?.proof.picture
  const ground = opening.value
  if (!from || !document || !source || !ground) return
  const color = targetOf(document, ground.key) ?? targetFrom(ground.key)
  const name = `${ground.name} over picture`
  const change = { kind: 'add overlay', name, color, on_picture: true } as const
  try {
    const body = { document, change, page: null }
    const { document: laid } = await answerOf(api.POST('/api/changes', { body }))
    const id = laid.proof.overlay ?? ''
    const alphas = await Promise.all(
      ground.elements
        .filter((one) => one.element === 'heading' || one.element === 'text')
        .map((one) => least(laid, source, id, one.key, one.element === 'heading' ? 'h1' : 'small')),
    )
    const alpha = Math.max(...alphas) / 100
    const layers = laid.overlays.map((one) => (one.id === id ? { ...one, alpha } : one))
    problem.value = ''
    if (!take.isOpen(from)) return
    // It was changed while the picture was measured: what was found is not of this take any more.
    if (take.hasMoved(from)) await lay()
    else take.finish(from, { ...laid, overlays: layers })
  } catch (reason) {
    problem.value = explain(reason)
  }
}

async function least(
  document: TakeDocument,
  source: string,
  layer: string,
  text: string,
  style: TextStyle,
) {
  const { deciding: size = null, weight = null } =
    props.proof.styles.find((one) => one.style === style) ?? {}
  const found = await answerOf(
    api.POST('/api/sources/{source_id}/backdrop', {
      params: { path: { source_id: source } },
      body: {
        document,
        text,
        layers: [layer],
        usage: 'body text',
        size,
        weight,
        region: null,
        as_proved: true,
      },
    }),
  )
  return found.least_opacity ?? 100
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
      <h3 class="mt-3 text-quiet">In two colours: dark parts, light parts</h3>
      <div class="mt-1 grid grid-cols-2 gap-1.5">
        <ChoiceList
          v-for="{ end, label } in ENDS"
          :key="end"
          :label="label"
          align="left"
          :model-value="settings.duotone?.[end] ?? NONE"
          :options="tones"
          @update:model-value="tone(end, $event)"
        />
      </div>
    </template>
    <template v-if="settings.picture && settings.picture_place === 'behind'">
      <h3 class="mt-3 text-quiet">Overlay on the picture</h3>
      <ChoiceList
        class="mt-1"
        label="Overlay on the picture"
        align="left"
        :model-value="settings.overlay ?? NONE"
        :options="overlays"
        @update:model-value="set('overlay', $event)"
      />
      <button type="button" class="button mt-2" @click="lay">
        Add just enough {{ opening?.name }}
      </button>
      <p class="mt-1.5 text-quiet">The lowest opacity at which all text over the picture passes.</p>
    </template>
    <p v-if="problem" role="alert" class="mt-2 font-semibold">{{ problem }}</p>
    <p v-if="!images.length" class="mt-3 text-quiet">
      Add a logo or a picture in Source, and it can stand on the pages.
    </p>
  </section>
</template>
