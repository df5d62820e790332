import { useLocalStorage, usePreferredDark } from '@vueuse/core'
import { computed, watchEffect } from 'vue'

export type Workspace = 'light' | 'dark' | 'system'

const chosen = useLocalStorage<Workspace>('tonada-workspace', 'light')

/** Light or dark surround. Light to start with: colours for the web are judged on light pages first. */
export function useWorkspace() {
  const prefersDark = usePreferredDark()
  const shown = computed(() =>
    chosen.value === 'system' ? (prefersDark.value ? 'dark' : 'light') : chosen.value,
  )
  watchEffect(() => {
    document.documentElement.dataset.workspace = shown.value
  })
  return { workspace: chosen }
}
