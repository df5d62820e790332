<script setup lang="ts">
import { RadioGroup, RadioGroupOption } from '@headlessui/vue'
import { useIntersectionObserver } from '@vueuse/core'
import { computed, onScopeDispose, ref, useTemplateRef, watch } from 'vue'
import FindPanel from './FindPanel.vue'
import PaletteCard from './PaletteCard.vue'
import PaletteDialog from './PaletteDialog.vue'
import PaletteFiles from './PaletteFiles.vue'
import TriedPanel from './TriedPanel.vue'
import type { TriedAction } from './TriedPanel.vue'
import { useFinding } from './useFinding'
import type { Wanted } from './useFinding'
import { useOwnPalettes } from './useOwnPalettes'
import { useTaking } from './useTaking'
import { useTried } from './useTried'
import { api, answerOf } from '@/api/client'
import type { Palette } from '@/api/types'
import { useSelection } from '@/take/useSelection'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import ChoiceList from '@/ui/ChoiceList.vue'
import NoticeBar from '@/ui/NoticeBar.vue'
import { useAnswer } from '@/ui/useAnswer'

const take = useTakeStore()
const brand = useBrandStore()
const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/palettes')))
const held = computed(
  () => take.document?.swatches.filter((one) => one.held).map((one) => one.hex) ?? [],
)
const finding = useFinding(() => held.value)
const { wanted, notes, palettes, answer, hasMore, isAsked } = finding
const { selected, select } = useSelection('palette')

/** The one that was chosen stays on the page, whatever is asked meanwhile. */
const chosen = ref<Palette>()
watch(
  [selected, palettes],
  () => {
    const found = palettes.value?.find((one) => one.id === selected.value)
    if (found) chosen.value = found
    else if (chosen.value?.id !== selected.value) void findChosen(selected.value)
  },
  { immediate: true },
)
/** From an address: the palette may be on no page that was asked for. */
async function findChosen(id: string | undefined) {
  chosen.value = undefined
  if (!id || !palettes.value) return
  const params = { path: { palette_id: id }, query: { level: 'AA' as const } }
  const found = await answerOf(api.GET('/api/palettes/{palette_id}/take', { params })).catch(
    () => undefined,
  )
  if (found && selected.value === id) chosen.value = found.palette
}

const {
  tried,
  problem: unseen,
  extent,
  isHolding,
  isCurrent,
} = useTried(
  () => chosen.value,
  () => wanted.aaa,
)
const taking = useTaking()
watch([() => chosen.value?.id, extent], () => (taking.done.value = ''))
const own = useOwnPalettes({
  changed: (palette) => {
    finding.replace(palette)
    if (chosen.value?.id === palette.id) chosen.value = palette
  },
  listed: finding.find,
})
const roles = computed(() => take.document?.roles.map((one) => one.role) ?? [])

function want(change: Partial<Wanted>) {
  Object.assign(wanted, change)
}
watch([wanted, notes, held], finding.find, { immediate: true })

let isHere = true
onScopeDispose(() => (isHere = false))
watch(
  () => answer.value?.unproven,
  (unproven) => {
    if (unproven && !own.left.value) void own.proveAll(() => isHere)
  },
)

const end = useTemplateRef<HTMLElement>('end')
useIntersectionObserver(end, ([seen]) => {
  if (seen?.isIntersecting) void finding.more()
})

const showsKeep = ref(false)
const showsEdit = ref(false)
function act(action: TriedAction) {
  const { value: palette } = chosen
  if (!palette) return
  if (action === 'like') want({ like: { id: palette.id, name: palette.name }, sort: 'nearness' })
  else if (action === 'star') void own.star(palette)
  else if (action === 'edit') showsEdit.value = true
  else void own.remove(palette)
}

async function takeIt() {
  const { value: shown } = tried
  if (!shown || !isCurrent.value) return
  const { palette, document } = shown
  await (shown.extent === 'free' ? taking.asFree : taking.asTake)(palette, document)
}

const sorts = computed(() =>
  (vocabulary.value?.sorts ?? []).map((one) => ({
    value: one.id as Wanted['sort'],
    label: one.id === 'nearness' && !isNear.value ? 'most different first' : one.name,
  })),
)
const isNear = computed(
  () => notes.value.length > 0 || wanted.like !== undefined || wanted.withHeld,
)
const suggested = computed(() =>
  [brand.detail?.brand.name, brand.detail?.takes.find((one) => one.id === take.take?.id)?.name]
    .filter(Boolean)
    .join(' ')
    .slice(0, 80),
)
</script>

<template>
  <main class="grid grid-cols-[236px_minmax(0,1fr)_292px] max-[900px]:grid-cols-1">
    <section
      aria-label="What to look for"
      class="flex min-h-0 flex-col overflow-y-auto border-r border-hair bg-sheet p-3"
      tabindex="0"
    >
      <div class="mb-2 flex items-baseline gap-2">
        <h2 class="text-title">Ready-made</h2>
        <RouterLink :to="{ name: 'source' }" class="ml-auto underline">All sources</RouterLink>
      </div>
      <FindPanel
        v-if="vocabulary"
        v-model:notes="notes"
        :vocabulary="vocabulary"
        :placed="answer?.notes ?? []"
        :wanted="wanted"
        :holds="held.length > 0"
        :is-asked="isAsked"
        @want="want"
        @nothing="finding.askNothing()"
      />
    </section>
    <div class="flex min-h-0 flex-col">
      <div class="flex flex-wrap items-center gap-2 px-4 pt-3">
        <p role="status" class="mr-auto font-semibold" data-testid="found">
          <template v-if="answer">{{ answer.found }} of {{ answer.all }}</template>
        </p>
        <p v-if="own.left.value" role="status" class="text-quiet">
          {{ own.left.value }} pages still to check…
        </p>
        <ChoiceList
          :model-value="wanted.sort"
          class="w-44"
          label="Order"
          :options="sorts"
          @update:model-value="want({ sort: $event })"
        />
        <button type="button" class="button" :disabled="take.isEmpty" @click="showsKeep = true">
          Keep this take
        </button>
        <PaletteFiles @file="own.addFile" />
      </div>
      <div class="flex flex-col gap-2 px-4 pt-2 empty:hidden">
        <NoticeBar
          v-if="own.problem.value"
          :text="own.problem.value"
          @dismiss="own.problem.value = ''"
        />
        <NoticeBar
          v-if="own.said.value.length"
          :text="own.said.value.join(' ')"
          @dismiss="own.said.value = []"
        />
        <NoticeBar
          v-if="own.gone.value"
          :text="`“${own.gone.value.name}” was deleted.`"
          @dismiss="own.gone.value = undefined"
        >
          <button type="button" class="button" @click="own.restore()">Restore</button>
        </NoticeBar>
      </div>
      <div
        class="min-h-0 flex-1 overflow-y-auto p-4 pt-2.5 max-[900px]:max-h-[75dvh]"
        tabindex="-1"
        data-testid="palettes"
      >
        <RadioGroup
          :model-value="selected ?? ''"
          aria-label="Palettes"
          class="grid grid-cols-[repeat(auto-fill,minmax(210px,1fr))] gap-3"
          @update:model-value="select($event)"
        >
          <RadioGroupOption
            v-for="palette in palettes ?? []"
            :key="palette.id"
            :value="palette.id"
            :aria-label="`${palette.name}${palette.is_starred ? ', starred' : ''}`"
            class="cursor-pointer [contain-intrinsic-size:auto_142px] [content-visibility:auto]"
          >
            <PaletteCard :palette="palette" :is-chosen="palette.id === selected" />
          </RadioGroupOption>
        </RadioGroup>
        <p v-if="answer?.found === 0" class="text-quiet">
          No palette matches. Use fewer words, or one note instead of several.
        </p>
        <p
          v-else-if="palettes && !hasMore && wanted.shelf === 'all'"
          class="mt-4 text-small text-quiet"
        >
          Tonada’s own palettes pass AA on their pages, by day and by night. Their brand colours
          stay distinct in any colour vision.
        </p>
        <div ref="end" class="h-px"></div>
      </div>
    </div>
    <TriedPanel
      v-model:extent="extent"
      :tried="tried"
      :is-holding="isHolding"
      :is-empty-take="take.isEmpty"
      :is-busy="taking.isBusy.value || !isCurrent"
      :roles="roles"
      :problem="taking.problem.value || unseen"
      :done="taking.done.value"
      @take="takeIt"
      @color="(color, role) => chosen && taking.asColor(chosen, color, role)"
      @act="act"
      @dismiss="((taking.problem.value = ''), (unseen = ''))"
    />
    <PaletteDialog
      v-model="showsKeep"
      title="Keep this take as a palette"
      description="Its colours with their roles join the studio’s palettes, and are found among the others."
      act="Keep it"
      :name="suggested"
      :tags="[]"
      :most-tags="vocabulary?.most_tags ?? 12"
      @done="(name, tags) => take.document && own.keep(name, tags, take.document)"
    />
    <PaletteDialog
      v-model="showsEdit"
      title="Name and tags"
      act="Save"
      :name="chosen?.name ?? ''"
      :tags="chosen?.tags ?? []"
      :most-tags="vocabulary?.most_tags ?? 12"
      @done="(name, tags) => chosen && own.change(chosen, name, tags)"
    />
  </main>
</template>
