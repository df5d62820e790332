/** The script in the frame of a sample page that a client sees: it waits to be told what to draw. */
import { createApp, h, shallowRef } from 'vue'
import '@/proof/proof.css'
import DrawnPage from './DrawnPage.vue'
import type { Drawing, Drawn } from './drawn'

const drawn = shallowRef<Drawn>()
const app = createApp({ render: () => drawn.value && h(DrawnPage, { drawn: drawn.value }) })
const drawing: Drawing = {
  version: 1,
  draw(next) {
    const isFirst = drawn.value === undefined
    drawn.value = next
    if (isFirst) app.mount(document.body)
  },
}
Object.assign(window, { tonadaPages: drawing })
// What looks like a link leads nowhere.
document.addEventListener('click', (event) => {
  event.preventDefault()
})
document.addEventListener('submit', (event) => {
  event.preventDefault()
})
