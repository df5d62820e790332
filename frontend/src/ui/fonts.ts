/**
 * The interface's typefaces come after everything that the first view needs: over a slow line they would take
 * its place. Once a browser has them, they are there from the start.
 */
import { useLocalStorage } from '@vueuse/core'

const areKept = useLocalStorage('tonada-fonts', false)

export async function loadFonts(ready: Promise<unknown>) {
  if (!areKept.value) {
    await ready
    // A page that is there so soon came over a line that has room for them too.
    const isFast = performance.now() < SOON_MS
    await new Promise((resolve) => setTimeout(resolve, isFast ? 0 : LATER_MS))
  }
  await import('./faces.css')
  await document.fonts.ready
  areKept.value = true
}
/** Time for a first view to ask for what it shows. */
const LATER_MS = 1500
const SOON_MS = 1500
