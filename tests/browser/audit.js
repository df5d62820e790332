least => {
  const found = []
  const isShown = one => one.checkVisibility({ opacityProperty: true, visibilityProperty: true })
  const nameOf = one =>
    (one.getAttribute('aria-label') || one.innerText || one.value || one.tagName).trim().replace(/\s+/g, ' ').slice(0, 60)
  const page = document.documentElement
  if (page.scrollWidth > page.clientWidth)
    found.push(`the page scrolls sideways by ${page.scrollWidth - page.clientWidth}`)
  for (const one of document.querySelectorAll('body *')) {
    if (![...one.childNodes].some(node => node.nodeType === 3 && node.data.trim())) continue
    if (!isShown(one) || one.closest('.sr-only')) continue
    const scale = one.getScreenCTM?.().d ?? 1
    const size = parseFloat(getComputedStyle(one).fontSize) * scale
    if (size < least - 0.01) found.push(`text of ${size.toFixed(1)} px: ${nameOf(one)}`)
  }
  const isOver = document.querySelector('[role=dialog], [role=listbox], [role=menu]')
  const controls = (isOver ?? document).querySelectorAll('a[href], button, input, select, textarea, [role=slider], [role=tab], [role=radio], [role=option]')
  for (const one of controls) {
    const name = nameOf(one)
    if (/\b(\w{3,})[\s,]+\1\b/i.test(one.getAttribute('aria-label') ?? '')) found.push(`doubled name: ${name}`)
    if (!isShown(one) || one.disabled || one.closest('.sr-only, [inert]')) continue
    one.scrollIntoView({ block: 'center', inline: 'center' })
    const box = one.getBoundingClientRect()
    if (box.width <= 1 || box.height <= 1) continue
    const spots = [[0.5, 0.5], [0.1, 0.5], [0.9, 0.5]].map(([x, y]) => [box.x + box.width * x, box.y + box.height * y])
    const hits = spots.some(([x, y]) => {
      const hit = document.elementFromPoint(x, y)
      return hit && (one.contains(hit) || hit.contains(one) || hit.closest('label')?.contains(one))
    })
    if (!hits) found.push(`can't be hit: ${name}`)
  }
  scrollTo(0, 0)
  return found
}
