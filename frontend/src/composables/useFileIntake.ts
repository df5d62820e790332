import { useEventListener } from '@vueuse/core'
import { ref } from 'vue'

/** A file dropped anywhere, or an image pasted, starts its reading. */
export function useFileIntake(take: (file: File) => unknown) {
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
    const file = event.dataTransfer?.files[0]
    if (file) take(file)
  })
  useEventListener(window, 'paste', (event) => {
    const file = [...(event.clipboardData?.files ?? [])].find((one) =>
      one.type.startsWith('image/'),
    )
    if (file) take(file)
  })

  return { isOver }
}
