import { useClipboard } from '@vueuse/core'
import { ref } from 'vue'

const { copy, copied, text } = useClipboard({ legacy: true, copiedDuring: 1800 })
const announcement = ref('')

/** Copies a value and says so, to the eye beside the value and to a screen reader. */
export function useCopy() {
  async function copyValue(value: string) {
    await copy(value)
    announcement.value = `${value} copied`
  }
  const isCopied = (value: string) => copied.value && text.value === value
  return { copyValue, isCopied, announcement }
}
