import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { api, given } from '@/api/client'
import type { Choice, FoundColor, Proposal, Role, Source, TakeDocument } from '@/api/types'
import { useQuestion } from '@/ui/useAnswer'
import { rolesOfSwatch, swatchOf } from '@/take/swatches'

export interface Offer {
  color: FoundColor
  share: number
  choice: Choice
}

const SMALLEST = 0.005
/** As many as a proposal takes; a longer list has more rows, which stay out until they are chosen. */
const MOST = 12
const WHOLE = { image: 'artwork', stylesheet: 'stylesheet', list: 'list', mood: 'mood' } as const

/** The colours of a source that ask for a role, and the roles proposed for what was chosen. */
export function useProposal(source: Ref<Source | undefined>, take: Ref<TakeDocument | undefined>) {
  const leaveOutGround = ref(true)
  const wishes = ref<Record<string, Choice>>({})
  /** What was proposed, to which colours and to which state of the take: as they were together. */
  const answered = shallowRef<{
    proposal: Proposal
    colors: readonly FoundColor[]
    take: TakeDocument | undefined
  }>()
  const proposal = computed(() => answered.value?.proposal)
  const question = useQuestion(() => (newest = ask()))
  let asked = 0
  let newest = Promise.resolve()

  const shown = computed(() => {
    const colors = source.value?.colors ?? []
    const ground = leaveOutGround.value ? colors.reduce((sum, c) => sum + c.ground_share, 0) : 0
    return colors
      .map((color) => ({
        color,
        share: (color.share - (ground ? color.ground_share : 0)) / (1 - ground || 1),
      }))
      .filter((offer) => offer.color.picked || offer.share >= SMALLEST || !source.value?.image)
      .sort((one, other) => other.share - one.share)
  })
  const asking = computed(() => {
    // A colour whose name says a role is asked for first, however far down a long list it stands.
    const isNamed = ({ color }: { color: FoundColor }) => (color.role ? 0 : 1)
    return [...shown.value].sort((one, other) => isNamed(one) - isNamed(other)).slice(0, MOST)
  })
  /** What is proposed for each colour that was asked about: what is shown by now may be others. */
  const proposed = computed(() => {
    const byColor = new Map<FoundColor | string, Choice>()
    answered.value?.colors.forEach((color, row) => {
      const choice = answered.value?.proposal.choices[row]
      if (!choice) return
      byColor.set(color, choice)
      // A source that is read again has the same colours, not the same objects.
      if (!byColor.has(color.hex)) byColor.set(color.hex, choice)
    })
    return byColor
  })
  const proposedFor = (color: FoundColor) =>
    proposed.value.get(color) ?? proposed.value.get(color.hex)
  const isBuilt = computed(() => (take.value?.swatches.length ?? 0) > 0)
  const isAsProposed = computed(
    () =>
      isBuilt.value &&
      rolesWithColors(proposal.value?.document) === rolesWithColors(answered.value?.take),
  )
  /** Whether the take came from this source; then what it says of a colour is what is wished for. */
  const isOwn = computed(
    () => take.value?.swatches.some((one) => one.origin.source === source.value?.id) ?? false,
  )

  /** With a palette, a colour's row shows what it is there; without one, what it would become. */
  const offers = computed<Offer[]>(() =>
    shown.value.map((offer) => ({
      ...offer,
      choice: isBuilt.value
        ? choiceInTake(take.value, offer.color.hex)
        : (proposedFor(offer.color) ?? 'leave out'),
    })),
  )

  const wish = (color: FoundColor): Choice | null => {
    if (isBuilt.value && isOwn.value) return choiceInTake(take.value, color.hex)
    return wishes.value[color.hex] ?? color.role ?? null
  }

  watch(
    () => source.value?.id,
    () => {
      leaveOutGround.value = source.value?.image?.leaves_ground_out ?? true
      wishes.value = {}
    },
    { immediate: true },
  )
  watch([asking, wishes, take], () => (newest = ask()), { immediate: true, deep: true })

  /** What is proposed for the take as it is now, once the answer to the last change is there. */
  async function current(): Promise<TakeDocument | undefined> {
    await nextTick()
    for (let waited; waited !== newest;) await (waited = newest)
    return proposal.value?.document
  }

  async function ask() {
    const { value: from } = source
    const number = ++asked
    const { value: of } = take
    const about = asking.value.map(({ color }) => color)
    if (!from || !about.length) {
      answered.value = undefined
      return
    }
    const colors = asking.value.map(({ color, share }) => ({
      hex: color.hex,
      // A name that says a role is the role's, not the colour's.
      name: color.role ? null : color.name,
      share: Math.min(1, Math.max(0, share)),
      choice: wish(color),
    }))
    const body = {
      colors: withoutTwice(colors),
      source: from.id,
      source_name: from.name,
      whole: WHOLE[from.kind],
      level: of?.level ?? 'AA',
    } as const
    try {
      const answer = await given(api.POST('/api/proposals', { body }))
      if (number !== asked) return
      answered.value = { proposal: answer, colors: about, take: of }
      question.answered()
    } catch (reason) {
      if (number !== asked) return
      // What was proposed to an earlier state must not be built now.
      answered.value = undefined
      question.failed(reason)
    }
  }

  /** Before there is a palette: a role goes from the colour that had it to the one that is given it. */
  function choose(hex: string, choice: Choice) {
    const isRoleGiven = choice !== 'keep' && choice !== 'leave out'
    const settled = new Map(Object.entries(wishes.value))
    for (const { color } of offers.value) {
      // A wish may be newer than what was proposed last. Where there is neither, nothing is settled yet.
      const own = settled.get(color.hex) ?? proposedFor(color)
      if (own) settled.set(color.hex, own)
    }
    for (const [color, own] of settled) {
      if (isRoleGiven && own === choice) settled.set(color, 'keep')
    }
    wishes.value = { ...Object.fromEntries(settled), [hex]: choice }
  }

  return { offers, proposal, current, leaveOutGround, isBuilt, isAsProposed, choose }
}

function rolesWithColors(document: TakeDocument | undefined): string {
  const hexes = new Map(document?.swatches.map((one) => [one.id, one.hex]))
  return JSON.stringify(document?.roles.map(({ role, swatch }) => [role, hexes.get(swatch)]))
}

function choiceInTake(take: TakeDocument | undefined, hex: string): Choice {
  const swatch = swatchOf(take, hex)
  const role = swatch && rolesOfSwatch(take, swatch.id).find(isRole)
  return swatch ? (role ?? 'keep') : 'leave out'
}

/** One that a source can ask for: not one of the designer's own. */
const isRole = (role: string): role is Role => !role.startsWith('own-')

/** A role can be asked for once: names of an imported list may repeat one. */
function withoutTwice<T extends { choice: Choice | null }>(colors: T[]): T[] {
  const asked = new Set<Choice>()
  return colors.map((color) => {
    const { choice } = color
    if (!choice || choice === 'keep' || choice === 'leave out') return color
    if (asked.has(choice)) return { ...color, choice: 'keep' }
    asked.add(choice)
    return color
  })
}
