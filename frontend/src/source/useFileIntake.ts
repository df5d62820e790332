import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** Files dropped anywhere, an image or a text with colours pasted: each starts its reading. */
export function useFileIntake(
  take: (files: File[]) => unknown,
  takeText: (text: string) => unknown,
) {
  const isOver = ref(false)
  let depth = 0

  const carriesFile = (event: DragEvent) => event.dataTransfer?.types.includes('Files') ?? false

  useEventListener(window, 'dragenter', (event) => {
    if (!carriesFile(event)) return
    depth += 1
    isOver.value = true
  })
  useEventListener(window, 'dragover', (event) => {
    if (carriesFile(event)) event.preventDefault()
  })
  useEventListener(window, 'dragleave', (event) => {
    if (!carriesFile(event)) return
    depth = Math.max(0, depth - 1)
    isOver.value = depth > 0
  })
  useEventListener(window, 'drop', (event) => {
    if (!carriesFile(event)) return
    event.preventDefault()
    depth = 0
    isOver.value = false
    const files = [...(event.dataTransfer?.files ?? [])]
    if (files.length) take(files)
  })
  useEventListener(window, 'paste', (event) => {
    if (isTyping(event.target)) return
    const image = [...(event.clipboardData?.files ?? [])].find((one) =>
      one.type.startsWith('image/'),
    )
    const text = event.clipboardData?.getData('text/plain') ?? ''
    if (image) take([image])
    else if (text.trim()) takeText(text)
  })

  return { isOver }
}

const isTyping = (target: EventTarget | null) =>
  target instanceof HTMLInputElement || target instanceof HTMLTextAreaElement
