import { createSharedComposable, useLocalStorage } from '@vueuse/core'
import { ref, shallowRef } from 'vue'
import { api, answerOf } from '@/api/client'
import type { ColorNotations, Notation } from '@/api/types'
import { useQuestion } from '@/ui/useAnswer'

/** Every value in every notation, as the server writes it; and the one that a click copies. */
export const useNotations = createSharedComposable(() => {
  const chosen = useLocalStorage<Notation>('tonada-notation', 'hex')
  const known = shallowRef<ReadonlyMap<string, ColorNotations>>(new Map())
  /** The value whose notations are all shown. */
  const open = ref<string>()

  let newest: readonly string[] = []
  const question = useQuestion(() => ask(newest))

  async function ask(hexes: readonly string[]) {
    newest = hexes
    const missing = [...new Set(hexes)].filter((hex) => !known.value.has(hex))
    if (!missing.length) return
    try {
      const { values } = await answerOf(
        api.POST('/api/values', {
          body: { hexes: missing, press: '' },
        }),
      )
      known.value = new Map([...known.value, ...values.map((one) => [one.hex, one] as const)])
      question.answered()
    } catch (reason) {
      question.failed(reason)
    }
  }

  /** undefined where the server, which writes it, can't be asked. */
  async function inChosen(hex: string): Promise<string | undefined> {
    if (chosen.value === 'hex') return hex
    await ask([hex])
    return known.value.get(hex)?.written.find((one) => one.notation === chosen.value)?.text
  }

  function show(hex: string) {
    open.value = hex
    void ask([hex])
  }

  return { chosen, known, open, ask, inChosen, show }
})
