import { useTitle } from '@vueuse/core'
import { computed } from 'vue'
import { useRoute } from 'vue-router'
import { useBrandStore } from '@/take/brand'
import { useTakeStore } from '@/take/take'

/** The window is called after what it shows, the nearest first: view, take, brand. */
export function useTakeTitle() {
  const route = useRoute()
  const brand = useBrandStore()
  const take = useTakeStore()
  const names = computed(() => {
    const found = brand.detail?.takes.find((one) => one.id === take.take?.id)
    return [route.meta.title, found?.name, brand.detail?.brand.name, 'Tonada']
  })
  useTitle(() => names.value.filter((name) => name).join(' · '))
}
