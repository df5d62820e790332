import { computed, shallowRef } from 'vue'

/** Steps back and forward over whole values, as many as there are; the session storage keeps them
 * over a reload, the oldest falling out where it is full. What can't be read any more stays out. */
export function useHistory<T>(isReadable: (value: T) => boolean = () => true) {
  const past = shallowRef<T[]>([])
  const future = shallowRef<T[]>([])
  let key = ''

  function open(name: string) {
    key = `tonada-history-${name}`
    try {
      const kept = JSON.parse(sessionStorage.getItem(key) ?? '{}') as { past?: T[]; future?: T[] }
      past.value = (kept.past ?? []).filter(isReadable)
      future.value = (kept.future ?? []).filter(isReadable)
    } catch {
      past.value = future.value = []
    }
  }

  function keep() {
    for (let kept = past.value; ; kept = kept.slice(Math.ceil(kept.length / 2))) {
      try {
        sessionStorage.setItem(key, JSON.stringify({ past: kept, future: future.value }))
        return
      } catch {
        // The storage is full. All steps stay in this window; a reload keeps the newer half.
        if (!kept.length) {
          sessionStorage.removeItem(key)
          return
        }
      }
    }
  }

  function record(value: T) {
    past.value = [...past.value, value]
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
