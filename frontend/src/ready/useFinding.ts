/** What palettes are to be like, and those that were found: kept while one looks at other steps. */
import { createGlobalState } from '@vueuse/core'
import { computed, reactive, ref, shallowRef } from 'vue'
import { api, answerOf, ProblemError } from '@/api/client'
import type { FoundPalettes, Palette, PaletteNote, PaletteQuestion } from '@/api/types'
import { createPaced } from '@/ui/asking'
import { useQuestion } from '@/ui/useAnswer'

/** What is asked; the notes apart from it, since they move. */
export interface Wanted {
  words: string
  moods: string[]
  trades: string[]
  hues: number[]
  ground: '' | 'light' | 'dark'
  character: string
  aaa: boolean
  shelf: 'all' | 'own' | 'starred'
  sort: NonNullable<PaletteQuestion['sort']>
  /** The palette that others are to be like. */
  like: Pick<Palette, 'id' | 'name'> | undefined
  /** Whether they are to go with the held colours. */
  withHeld: boolean
}

const A_PAGE = 24
/** How many colours a palette can be asked to go with. */
const MOST_HELD = 12
const nothing = (): Wanted => ({
  words: '',
  moods: [],
  trades: [],
  hues: [],
  ground: '',
  character: '',
  aaa: false,
  shelf: 'all',
  sort: 'nearness',
  like: undefined,
  withHeld: false,
})

const usePlace = createGlobalState(() => ({
  wanted: reactive(nothing()),
  notes: ref<PaletteNote[]>([]),
  palettes: shallowRef<readonly Palette[]>(),
  answer: shallowRef<FoundPalettes>(),
}))

/** held: the values that the take in front holds. */
export function useFinding(held: () => readonly string[]) {
  const { wanted, notes, palettes, answer } = usePlace()
  const question = useQuestion(() => find())
  const isAsking = ref(false)
  /** A note that is moved asks often: one question at a time, and of those that wait the newest. */
  const paced = createPaced(ask)

  const body = (start: number): PaletteQuestion => ({
    notes: notes.value,
    words: wanted.words,
    moods: wanted.moods,
    trades: wanted.trades,
    hues: wanted.hues,
    ground: wanted.ground || null,
    character: wanted.character || null,
    aaa: wanted.aaa,
    like: wanted.like?.id ?? null,
    held: wanted.withHeld ? [...new Set(held())].slice(0, MOST_HELD) : [],
    shelf: wanted.shelf,
    sort: wanted.sort,
    start,
    count: A_PAGE,
  })

  async function ask(start: number) {
    isAsking.value = true
    try {
      const found = await answerOf(api.POST('/api/palettes/search', { body: body(start) }))
      answer.value = found
      palettes.value = start ? [...(palettes.value ?? []), ...found.palettes] : found.palettes
      question.answered()
    } catch (reason) {
      // The palette that others were to be like was deleted, here or in another window.
      if (reason instanceof ProblemError && reason.problem.field === 'like') wanted.like = undefined
      else question.failed(reason)
    } finally {
      isAsking.value = false
    }
  }
  /** From the beginning: the question is another one. */
  const find = () => paced.ask(0)
  const hasMore = computed(() => (palettes.value?.length ?? 0) < (answer.value?.found ?? 0))
  /** The next page, once the end of the list is seen. */
  async function more() {
    if (hasMore.value && !isAsking.value) await paced.ask(palettes.value?.length ?? 0)
  }

  const isAsked = computed(
    () => notes.value.length > 0 || JSON.stringify(wanted) !== JSON.stringify(nothing()),
  )
  function askNothing() {
    Object.assign(wanted, nothing())
    notes.value = []
  }

  /** A palette that was changed, where it stands in the list. */
  function replace(changed: Palette) {
    palettes.value = palettes.value?.map((one) => (one.id === changed.id ? changed : one))
  }

  return { wanted, notes, palettes, answer, find, more, hasMore, isAsked, askNothing, replace }
}
