import { createSharedComposable } from '@vueuse/core'
import { shallowRef } from 'vue'
import { readSession } from '@/api/client'
import type { Session } from '@/api/types'

/** What may be asked for, as the server says; undefined until it has. */
export const useLimits = createSharedComposable(() => {
  const limits = shallowRef<Session['limits']>()
  void readSession().then((session) => (limits.value = session.limits))
  return limits
})
