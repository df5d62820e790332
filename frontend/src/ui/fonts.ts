/**
 * The interface's typefaces come after everything that the first view needs: over a slow line they would take
 * its place. Once a browser has them, they are there from the start.
 */
import { useLocalStorage } from '@vueuse/core'

const areKept = useLocalStorage('tonada-fonts', false)

export function loadFonts(ready: Promise<unknown>) {
  const load = async () => {
    await import('./faces.css')
    await document.fonts.ready
    areKept.value = true
  }
  if (areKept.value) void load()
  else void ready.then(() => setTimeout(() => void load(), LATER_MS))
}
/** Time for a first view to ask for what it shows. */
const LATER_MS = 1500
