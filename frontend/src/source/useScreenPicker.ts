import { computed, onScopeDispose, ref } from 'vue'

interface EyeDropperLike {
  open: (options: { signal: AbortSignal }) => Promise<{ sRGBHex: string }>
}
type EyeDropperClass = new () => EyeDropperLike

/** Picks a colour anywhere on the screen, where the browser has the standard EyeDropper. */
export function useScreenPicker() {
  const found: unknown = Reflect.get(window, 'EyeDropper')
  const constructor = typeof found === 'function' ? (found as EyeDropperClass) : undefined
  const isPicking = ref(false)
  const leaving = new AbortController()

  async function pick(): Promise<string | undefined> {
    if (!constructor || isPicking.value) return undefined
    isPicking.value = true
    try {
      return (await new constructor().open({ signal: leaving.signal })).sRGBHex
    } catch {
      return undefined // closed with Escape
    } finally {
      isPicking.value = false
    }
  }

  onScopeDispose(() => {
    leaving.abort()
  })
  return { isSupported: computed(() => constructor !== undefined), isPicking, pick }
}
