import { computed, ref, shallowRef, watch } from 'vue'
import type { Ref } from 'vue'
import { api, explain, given } from '@/api/client'
import type { Choice, FoundColor, Proposal, Source, TakeDocument } from '@/api/types'

export interface Offer {
  color: FoundColor
  share: number
}

const SMALLEST = 0.005

/** The colours of a source that ask for a role, and the roles proposed for what was chosen. */
export function useProposal(source: Ref<Source | undefined>, take: Ref<TakeDocument | undefined>) {
  const leaveOutGround = ref(true)
  const choices = ref<Record<string, Choice>>({})
  const proposal = shallowRef<Proposal>()
  const error = ref('')
  let asked = 0

  const offers = computed<Offer[]>(() => {
    const colors = source.value?.colors ?? []
    const ground = leaveOutGround.value ? colors.reduce((sum, c) => sum + c.ground_share, 0) : 0
    return colors
      .map((color) => ({
        color,
        share: (color.share - (ground ? color.ground_share : 0)) / (1 - ground || 1),
      }))
      .filter((offer) => offer.share >= SMALLEST)
      .sort((one, other) => other.share - one.share)
  })

  /** What was built from this source before is what the choices start with. */
  watch(
    () => source.value?.id,
    (id) => {
      leaveOutGround.value = true
      choices.value = id ? chosenBefore(id, source.value?.colors ?? [], take.value) : {}
    },
    { immediate: true },
  )

  watch([offers, choices, () => take.value?.level], ask, { immediate: true, deep: true })

  async function ask() {
    const { value: from } = source
    const number = ++asked
    if (!from || !offers.value.length) {
      proposal.value = undefined
      return
    }
    const colors = offers.value.map(({ color, share }) => ({
      hex: color.hex,
      share: Math.min(1, share),
      choice: choices.value[color.hex] ?? null,
    }))
    const body = {
      colors,
      source: from.id,
      source_name: from.name,
      level: take.value?.level ?? 'AA',
    } as const
    try {
      const answer = await given(api.POST('/api/proposals', { body }))
      if (number === asked) proposal.value = answer
      error.value = ''
    } catch (reason) {
      if (number === asked) error.value = explain(reason)
    }
  }

  /** A role goes from the colour that had it to the one that is given it. */
  function choose(hex: string, choice: Choice) {
    const settled: Record<string, Choice> = {}
    offers.value.forEach(({ color }, row) => {
      const own = choices.value[color.hex] ?? proposal.value?.choices[row]
      const gives = own === choice && choice !== 'keep' && choice !== 'leave out'
      if (own) settled[color.hex] = gives ? 'keep' : own
    })
    choices.value = { ...settled, [hex]: choice }
  }

  return { offers, proposal, error, leaveOutGround, choose }
}

function chosenBefore(
  sourceId: string,
  colors: FoundColor[],
  take: TakeDocument | undefined,
): Record<string, Choice> {
  const own = (take?.swatches ?? []).filter((swatch) => swatch.origin.source === sourceId)
  if (!take || !own.length) return {}
  const chosen: Record<string, Choice> = {}
  for (const { hex } of colors) {
    const swatch = own.find((one) => one.hex === hex)
    const role = take.roles.find((assignment) => assignment.swatch === swatch?.id)?.role
    chosen[hex] = swatch ? (role ?? 'keep') : 'leave out'
  }
  return chosen
}
