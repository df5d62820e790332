import { computed, ref } from 'vue'
import type { Ref } from 'vue'
import type { Choice, Source, TakeDocument } from '@/api/types'
import type { Offer } from './useProposal'
import { rolesOfSwatch, swatchOf } from '@/take/swatches'
import { roleLabels } from '@/take/roles'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'

type Adopted = Pick<Offer['color'], 'hex' | 'name' | 'picked'>

/** Colours of a source on their way into a palette that is built already, each a step of its own. */
export function useAdoption(source: Ref<Source | undefined>) {
  const take = useTakeStore()
  const brand = useBrandStore()
  const change = useChange({ saysItself: true })
  const refused = ref('')
  const refusal = computed({
    get: () => refused.value || change.problem.value,
    set: (text) => {
      refused.value = change.problem.value = text
    },
  })

  function become(offer: Offer, choice: Choice) {
    refusal.value = ''
    if (!take.document || !source.value) return
    if (choice === 'keep' || choice === 'leave out') release(take.document, offer, choice)
    else adopt(offer.color, offer.share, choice)
  }

  function adopt(color: Adopted, share: number, role: string | null) {
    const from = source.value
    void change.make({
      kind: 'adopt',
      hex: color.hex,
      name: color.name,
      origin: {
        kind: 'source',
        source: from?.id ?? '',
        note: from
          ? `${color.picked ? 'picked' : 'from'} ${color.picked ? 'in ' : ''}${from.name}`
          : '',
        share: color.picked || !share ? null : Math.min(1, share),
      },
      role,
    })
  }

  /** A colour that has a role can't let go of it before another one has it. */
  function release(document: TakeDocument, offer: Offer, choice: 'keep' | 'leave out') {
    const swatch = swatchOf(document, offer.color.hex)
    const roles = swatch ? rolesOfSwatch(document, swatch.id) : []
    if (roles.length)
      refusal.value = `${offer.color.name} is ${roleLabels(take.document?.roles ?? [], roles)}. Give that role to another colour first.`
    else if (choice === 'keep') adopt(offer.color, offer.share, null)
    else if (swatch) void change.make({ kind: 'remove', owner: swatch.id, instead: null })
  }

  /** A pixel that was clicked joins the source's colours and, where there is a palette, its swatches. */
  async function pick(hex: string, name: string) {
    const from = source.value
    if (!from) return
    if (!from.colors.some((color) => color.hex === hex)) {
      const picked = from.colors.filter((color) => color.picked)
      await brand.setPicked(from, [
        ...picked.map(({ hex, name }) => ({ hex, name })),
        { hex, name },
      ])
    }
    if (take.document && !take.isEmpty) adopt({ hex, name, picked: true }, 0, null)
  }

  async function drop(hex: string) {
    const from = source.value
    if (!from) return
    const kept = from.colors.filter((color) => color.picked && color.hex !== hex)
    await brand.setPicked(
      from,
      kept.map(({ hex, name }) => ({ hex, name })),
    )
  }

  return { refusal, become, pick, drop }
}
