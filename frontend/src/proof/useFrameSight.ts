import { watch } from 'vue'
import type { Ref } from 'vue'
import { useSight } from '@/take/useSight'

const SVG = 'http://www.w3.org/2000/svg'

/** The page in a frame is seen with the same eyes: a filter of our own document does not reach into it. */
export function useFrameSight(body: Ref<HTMLElement | undefined>) {
  const { filter } = useSight()
  watch(
    [body, filter],
    ([frame, matrix]) => {
      if (!frame) return
      if (matrix) matrixIn(frame.ownerDocument).setAttribute('values', matrix)
      frame.style.filter = matrix ? 'url(#sight)' : ''
    },
    { immediate: true, flush: 'post' },
  )
}

/** The matrix of the frame's own filter, which is made the first time. It stands behind the page. */
function matrixIn(page: Document): Element {
  const there = page.querySelector('#sight feColorMatrix')
  if (there) return there
  const make = (name: string, attributes: Record<string, string>, parent: Element) => {
    const element = page.createElementNS(SVG, name)
    for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, value)
    return parent.appendChild(element)
  }
  const hidden = { width: '0', height: '0', 'aria-hidden': 'true' }
  const svg = make('svg', { ...hidden, class: 'aside' }, page.documentElement)
  const own = { id: 'sight', 'color-interpolation-filters': 'linearRGB' }
  return make('feColorMatrix', { type: 'matrix' }, make('filter', own, svg))
}
