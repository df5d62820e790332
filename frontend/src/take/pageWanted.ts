/** The page that stands beside a view: its figures come with those of a change, in one answer. */
import { createGlobalState } from '@vueuse/core'
import { shallowRef } from 'vue'
import type { PageWanted } from '@/api/types'

export const usePageWanted = createGlobalState(() => {
  const wanted = shallowRef<PageWanted>()
  return { wanted }
})
