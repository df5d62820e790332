import { computed, nextTick, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type {
  Choice,
  FoundColor,
  Proposal,
  ProposalBody,
  Source,
  Start,
  TakeDocument,
} from '@/api/types'
import { useQuestion } from '@/ui/useAnswer'
import { isKnown } from '@/take/roles'
import { rolesOfSwatch, rolesWithColors, swatchOf } from '@/take/swatches'

export interface Offer {
  color: FoundColor
  share: number
  choice: Choice
}

/** The colours of a source, and the roles proposed for what was chosen. Which of them ask for one, the server says. */
export function useProposal(source: Ref<Source | undefined>, take: Ref<TakeDocument | undefined>) {
  const leaveOutGround = ref(true)
  const wishes = ref<Record<string, Choice>>({})
  /** The start that was chosen; until then the usual one. */
  const start = ref<Start>()
  /** What was proposed, to which colours and to which state of the take: as they were together. */
  const answered = shallowRef<{
    proposal: Proposal
    colors: readonly FoundColor[]
    take: TakeDocument | undefined
    body: ProposalBody
  }>()
  const proposal = computed(() => answered.value?.proposal)
  const question = useQuestion(() => (newest = ask()))
  let asked = 0
  let newest = Promise.resolve()

  const shown = computed(() => {
    const share = (color: FoundColor) => (leaveOutGround.value ? color.artwork_share : color.share)
    const least = source.value?.least_share ?? 0
    return (source.value?.colors ?? [])
      .map((color) => ({ color, share: share(color) }))
      .filter((offer) => offer.color.picked || offer.share >= least)
      .sort((one, other) => other.share - one.share)
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
    return wishes.value[color.hex] ?? null
  }

  watch(
    () => source.value?.id,
    () => {
      leaveOutGround.value = source.value?.image?.leaves_ground_out ?? true
      wishes.value = {}
      start.value = undefined
    },
    { immediate: true },
  )
  watch([source, leaveOutGround, wishes, start, take], () => (newest = ask()), {
    immediate: true,
    deep: true,
  })

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
    const about = from?.colors ?? []
    if (!from || !about.length) {
      answered.value = undefined
      return
    }
    const colors = about.map((color) => ({
      hex: color.hex,
      name: color.name,
      share: color.share,
      ground_share: color.ground_share,
      role: color.role,
      picked: color.picked,
      choice: wish(color),
    }))
    const body = {
      colors,
      source: from.id,
      source_name: from.name,
      kind: from.kind,
      leave_out_ground: leaveOutGround.value,
      level: of?.level ?? 'AA',
      start: start.value ?? null,
    } as const
    try {
      const answer = await answerOf(api.POST('/api/proposals', { body }))
      if (number !== asked) return
      answered.value = { proposal: answer, colors: about, take: of, body }
      question.answered()
    } catch (reason) {
      if (number !== asked) return
      // What was proposed to an earlier state must not be built now.
      answered.value = undefined
      question.failed(reason)
    }
  }

  /** Before there is a palette: a role is wished for by one colour; who had it gets that one's, by the server. */
  function choose(hex: string, choice: Choice) {
    const isRole = choice !== 'keep' && choice !== 'leave out'
    const others = Object.entries(wishes.value).filter(([, own]) => !(isRole && own === choice))
    wishes.value = { ...Object.fromEntries(others), [hex]: choice }
  }

  /** What was asked last and answered, for whoever asks the same with another start. */
  const answeredBody = computed(() => answered.value?.body)

  return {
    offers,
    proposal,
    answeredBody,
    start,
    current,
    leaveOutGround,
    isBuilt,
    isAsProposed,
    choose,
  }
}

function choiceInTake(take: TakeDocument | undefined, hex: string): Choice {
  const swatch = swatchOf(take, hex)
  const role = swatch && rolesOfSwatch(take, swatch.id).find(isKnown)
  return swatch ? (role ?? 'keep') : 'leave out'
}
