import { useClipboard } from '@vueuse/core'
import { ref } from 'vue'

const { copy, copied } = useClipboard({ legacy: true, copiedDuring: 1800 })
const announcement = ref('')
const last = ref('')

/** Copies a text and says so, to the eye beside what was asked for and to a screen reader. */
export function useCopy() {
  /** asked: what the person pressed, where another text than that is copied. */
  async function copyValue(text: string, asked = text) {
    await copy(text)
    last.value = asked
    // The same text twice is said twice, if it isn't the same for who reads it out.
    announcement.value = `${text} copied${announcement.value.endsWith('copied') ? '\u00a0' : ''}`
  }
  const isCopied = (asked: string) => copied.value && last.value === asked
  return { copyValue, isCopied, announcement }
}
