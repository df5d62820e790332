/** Which sample page stands beside the views, and by day or by night: kept for every brand. */
import { createGlobalState, useLocalStorage } from '@vueuse/core'
import { computed, ref, watch } from 'vue'
import { api, answerOf } from '@/api/client'
import type { Scheme } from '@/take/scheme'
import { useTakeStore } from '@/take/take'
import { useAnswer } from '@/ui/useAnswer'

export const usePageChoice = createGlobalState(() => {
  const take = useTakeStore()
  const { answer: vocabulary } = useAnswer(() => answerOf(api.GET('/api/proof')))
  const page = useLocalStorage('tonada-page', 'home')
  /** As the view is, until another one is chosen here. */
  const scheme = ref<Scheme>(take.scheme)
  watch(
    () => take.scheme,
    (now) => (scheme.value = now),
  )
  const options = computed(() =>
    (vocabulary.value?.pages ?? []).flatMap((one) =>
      (['day', 'night'] as const).map((by) => ({
        value: `${one.id} ${by}`,
        label: by === 'day' ? one.name : `${one.name} by night`,
      })),
    ),
  )
  const chosen = computed({
    get: () => `${page.value} ${scheme.value}`,
    set: (value) => {
      const [id = 'home', by] = value.split(' ')
      page.value = id
      scheme.value = by === 'night' ? 'night' : 'day'
    },
  })
  const name = computed(
    () => options.value.find((one) => one.value === chosen.value)?.label ?? 'The page',
  )
  return { page, scheme, options, chosen, name }
})
