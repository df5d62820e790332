import { computed } from 'vue'
import { api, answerOf } from '@/api/client'
import type { TakeDocument } from '@/api/types'
import { useFollowing } from '@/ui/useFollowing'

/** What there is to say of a take's colours together. */
export function useAdvice(document: () => TakeDocument | undefined) {
  const { answer } = useFollowing(
    document,
    (asked, signal) => answerOf(api.POST('/api/advice', { body: { document: asked }, signal })),
    { isShared: true },
  )
  return computed(() => answer.value?.advice ?? [])
}
