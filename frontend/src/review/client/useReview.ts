/** The review that a client has open: what is shown, what was said, and what they do. */
import { computed, onScopeDispose, ref, shallowRef } from 'vue'
import { createPaced } from '@/ui/asking'
import type { Said } from '@/api/types'
import { Refusal } from './talk'
import type { NewRemark, Shown, Talk } from './talk'

type State = 'opening' | 'locked' | 'over' | 'shown' | 'failed'
const NAME = 'tonada-review-name'

export function useReview(talk: Talk) {
  const state = ref<State>('opening')
  const shown = shallowRef<Shown>()
  const said = shallowRef<Said>({ remarks: [], choices: [], approval: null })
  const problem = ref('')
  const news = ref('')
  const name = ref(keptName())
  let stop: (() => void) | undefined

  async function open() {
    try {
      const found = await talk.open()
      shown.value = found
      said.value = found.said
      state.value = 'shown'
      problem.value = ''
      name.value ||= found.reader
      stop ??= talk.follow(() => void paced.ask(undefined))
    } catch (reason) {
      fail(reason)
      state.value =
        reason instanceof Refusal && reason.isLocked
          ? 'locked'
          : reason instanceof Refusal && reason.isOver
            ? 'over'
            : 'failed'
    }
  }

  /** One at a time: what comes while it is asked for is asked for once more. */
  const paced = createPaced(async () => {
    try {
      take(await talk.said())
    } catch (reason) {
      if (!(reason instanceof Refusal) || !reason.isOver) return
      problem.value = reason.message
      state.value = 'over'
      stop?.()
    }
  })

  function take(next: Said) {
    const known = new Set(said.value.remarks.map((one) => one.id))
    const fresh = next.remarks.filter((one) => !known.has(one.id) && !one.is_own)
    if (fresh.length)
      news.value = `New: ${fresh.map((one) => `${one.author} added a remark`).join(', ')}`
    said.value = next
  }

  /** Return whether it was done; what was not is said. */
  async function attempt(work: () => Promise<Said>): Promise<boolean> {
    try {
      take(await work())
      problem.value = ''
      return true
    } catch (reason) {
      fail(reason)
      return false
    }
  }

  function fail(reason: unknown) {
    problem.value =
      reason instanceof Refusal
        ? reason.message
        : 'Something went wrong. Nothing was changed. Try again.'
  }

  function rename(next: string) {
    name.value = next.trim()
    try {
      localStorage.setItem(NAME, name.value)
    } catch {
      // It is asked for again next time.
    }
  }

  async function unlock(passphrase: string) {
    try {
      await talk.unlock(passphrase)
      await open()
    } catch (reason) {
      fail(reason)
    }
  }

  const choice = computed(() => said.value.choices.find((one) => one.is_own))
  onScopeDispose(() => stop?.())
  void open()

  return {
    state,
    shown,
    said,
    problem,
    news,
    name,
    choice,
    open,
    unlock,
    rename,
    dismiss: () => (problem.value = ''),
    say: (remark: NewRemark) => attempt(() => talk.say(remark)),
    edit: (remark: string, text: string) => attempt(() => talk.edit(remark, text)),
    takeBack: (remark: string) => attempt(() => talk.takeBack(remark)),
    choose: (place: number | null, reason = '') =>
      attempt(() => talk.choose(name.value, place, reason)),
    approve: (place: number) => attempt(() => talk.approve(name.value, place)),
  }
}
export type OpenReview = ReturnType<typeof useReview>

function keptName(): string {
  try {
    return localStorage.getItem(NAME) ?? ''
  } catch {
    return ''
  }
}
