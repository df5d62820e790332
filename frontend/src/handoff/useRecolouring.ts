/** A stylesheet that is kept as a source, in the colours of the take: what becomes what, and what of it changes. */
import { useLocalStorage } from '@vueuse/core'
import { computed, ref } from 'vue'
import { api, answerOf } from '@/api/client'
import type { OldColor, RuleMend } from '@/api/types'
import { useBrandStore } from '@/take/brand'
import { asKept } from '@/take/scheme'
import { useTakeStore } from '@/take/take'
import { useChange } from '@/take/useChange'
import { useFollowing } from '@/ui/useFollowing'

export type WriteAs = 'values' | 'properties'

/** How long nothing is changed before the rules are compared: that takes a second for a large sheet. */
const RULES_WAIT_MS = 500

export function useRecolouring() {
  const take = useTakeStore()
  const change = useChange()
  const brand = useBrandStore()
  const write = useLocalStorage<WriteAs>('tonada-recolour-as', 'values')
  /** Whether SVG pictures within the sheet are recoloured as well: on request. */
  const pictures = useLocalStorage('tonada-recolour-pictures', false)

  const sheets = computed(() =>
    (brand.detail?.sources ?? []).filter((one) => one.kind === 'stylesheet'),
  )
  const wanted = ref('')
  const source = computed(
    () => sheets.value.find((one) => one.id === wanted.value) ?? sheets.value[0],
  )

  const question = () => {
    const { document } = take
    const id = source.value?.id
    if (!document || !id) return undefined
    return {
      params: { path: { source_id: id } },
      body: { document: asKept(document), write: write.value, pictures: pictures.value },
    }
  }
  const mapping = useFollowing(question, (asked, signal) =>
    answerOf(api.POST('/api/sources/{source_id}/old-colors', { ...asked, signal })),
  )
  const changes = useFollowing(
    question,
    (asked, signal) =>
      answerOf(api.POST('/api/sources/{source_id}/recoloured', { ...asked, signal })),
    { wait: 120 },
  )
  const rules = useFollowing(
    question,
    (asked, signal) => answerOf(api.POST('/api/sources/{source_id}/rules', { ...asked, signal })),
    { wait: RULES_WAIT_MS },
  )
  const problem = computed(
    () => mapping.problem.value || changes.problem.value || rules.problem.value,
  )

  const colors = computed<readonly OldColor[]>(() => mapping.answer.value?.colors ?? [])
  const choices = computed(() => mapping.answer.value?.choices ?? [])
  const keyOf = (color: OldColor) => mapping.answer.value?.chosen[color.hex] ?? color.key
  const isChosen = (color: OldColor) => mapping.answer.value?.chosen[color.hex] !== undefined
  const shownOf = (color: OldColor) =>
    choices.value.find((one) => one.key === keyOf(color)) ?? {
      key: keyOf(color),
      name: isChosen(color) ? keyOf(color) : color.name,
      hex: isChosen(color) ? keyOf(color) : color.new_hex,
    }

  function choose(color: OldColor, key: string) {
    const destination = source.value?.id
    const own = key === color.key ? null : key
    if (destination) void change.make({ kind: 'slot', destination, slot: color.hex, key: own })
  }
  /** The old colour that a mend is for: the one of whose members it is. */
  function mend(one: RuleMend) {
    const color = colors.value.find((each) => each.members.includes(one.old))
    if (color) choose(color, one.key)
  }

  async function add(files: File[]) {
    const made = await brand.addFiles(files, 'stylesheet')
    if (made) wanted.value = made.id
  }

  return {
    sheets, source, wanted, write, pictures, colors, choices, mapping, changes, rules, problem,
    keyOf, shownOf, isChosen, choose, mend, add,
  } // prettier-ignore
}
