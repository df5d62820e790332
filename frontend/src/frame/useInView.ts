import { nextTick, onMounted, useTemplateRef, watch } from 'vue'
import { useRoute } from 'vue-router'

/** In a row of links that is wider than its place, the one that is open is always to be seen. */
export function useInView(key: string) {
  const row = useTemplateRef<HTMLElement>(key)
  const route = useRoute()

  async function show() {
    await nextTick()
    const open = row.value?.querySelector('[aria-current]')
    open?.scrollIntoView({ block: 'nearest', inline: 'nearest' })
  }
  onMounted(show)
  watch(() => route.path, show)
}
