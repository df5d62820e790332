import { computed, shallowRef } from 'vue'

const LONGEST = 200

/** Steps back and forward over whole values; kept in the session storage, so a reload keeps them. */
export function useHistory<T>() {
  const past = shallowRef<T[]>([])
  const future = shallowRef<T[]>([])
  let key = ''

  function open(name: string) {
    key = `tonada-history-${name}`
    try {
      const kept = JSON.parse(sessionStorage.getItem(key) ?? '{}') as { past?: T[]; future?: T[] }
      past.value = kept.past ?? []
      future.value = kept.future ?? []
    } catch {
      past.value = future.value = []
    }
  }

  function keep() {
    try {
      sessionStorage.setItem(key, JSON.stringify({ past: past.value, future: future.value }))
    } catch {
      // The storage is full: the steps of this session stay, only a reload would lose them.
      sessionStorage.removeItem(key)
    }
  }

  function record(value: T) {
    past.value = [...past.value, value].slice(-LONGEST)
    future.value = []
    keep()
  }

  function step(from: typeof past, to: typeof past, current: T): T | undefined {
    const value = from.value.at(-1)
    if (value === undefined) return undefined
    from.value = from.value.slice(0, -1)
    to.value = [...to.value, current]
    keep()
    return value
  }

  return {
    canUndo: computed(() => past.value.length > 0),
    canRedo: computed(() => future.value.length > 0),
    open,
    record,
    undo: (current: T) => step(past, future, current),
    redo: (current: T) => step(future, past, current),
  }
}
