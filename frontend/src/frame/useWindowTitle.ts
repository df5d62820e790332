import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** The window is called after what it shows, the nearest first: view, take, brand. */
export function useWindowTitle() {
  const route = useRoute()
  const brand = useBrandStore()
  const take = useTakeStore()
  const names = computed(() => {
    const { brandId, takeId } = route.params
    const open = brand.detail?.brand.id === brandId ? brand.detail : undefined
    const shown = takeId === take.take?.id ? takeId : undefined
    const takeName = open?.takes.find((one) => one.id === shown)?.name
    return [route.meta.title, takeName, open?.brand.name, 'Tonada']
  })
  useTitle(() => names.value.filter((name) => name).join(' · '))
}
