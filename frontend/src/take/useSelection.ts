import { computed, ref } from 'vue'
import { useRoute, useRouter } from 'vue-router'

/** How often something was chosen: the same thing again, too. */
const times = ref(0)

/** What is selected stands in the address, so that Back and a copied address work. */
export function useSelection(name: 'swatch' | 'pair' | 'source' | 'role' | 'part' | 'palette') {
  const route = useRoute()
  const router = useRouter()
  const selected = computed(() => {
    const value = route.query[name]
    return typeof value === 'string' ? value : undefined
  })

  function select(id: string | undefined) {
    // A swatch, a role, a pair and a part share the inspector: choosing one lets go of the others.
    const { swatch: _swatch, pair: _pair, role: _role, part: _part, ...rest } = route.query
    const isAlone = name === 'source' || name === 'palette'
    const query = isAlone ? { ...route.query } : rest
    if (!isAlone) times.value += 1
    void router.replace({ query: { ...query, [name]: id } })
  }

  return { selected, select, times }
}
