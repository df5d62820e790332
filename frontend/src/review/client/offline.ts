/** A client’s page in a file of its own: what it shows stands in the file. */
import { createApp } from 'vue'
import { fileTalk } from './fileTalk'
import type { Embedded, Keeping } from './fileTalk'
import ReviewPage from './ReviewPage.vue'
import '@/ui/faces.css'
import '@/style.css'

const embedded = document.getElementById('review')?.textContent ?? 'null'
createApp(ReviewPage, { talk: fileTalk(JSON.parse(embedded) as Embedded, shelf()) }).mount('#app')

/** Some browsers keep nothing for a file, and say so by throwing. */
function shelf(): Keeping | undefined {
  try {
    return localStorage
  } catch {
    return undefined
  }
}
