// Returns every text of the page: where it stands, its colour, its size, and what changes how it is seen.
() => {
  const SKIPPED = new Set(['SCRIPT', 'STYLE', 'NOSCRIPT', 'TEMPLATE', 'TITLE', 'OPTION', 'DATALIST', 'TEXTAREA'])
  const LONGEST = 80
  const found = new Map()

  function nameOf(element) {
    const parts = []
    for (let one = element; one && one !== document.body && parts.length < 3; one = one.parentElement) {
      const id = one.id ? `#${one.id}` : ''
      const names = [...one.classList].slice(0, 3).map((name) => `.${name}`).join('')
      parts.unshift(`${one.localName}${id}${names}`)
      if (id) break
    }
    return (parts.join(' > ') || 'body').slice(0, LONGEST * 2)
  }

  function ancestors(element) {
    const all = []
    for (let one = element; one; one = one.parentElement ?? one.getRootNode().host) all.push(one)
    return all
  }

  function aroundOf(element) {
    let opacity = 1
    const changes = []
    for (const one of ancestors(element)) {
      const style = getComputedStyle(one)
      opacity *= Number(style.opacity)
      if (style.mixBlendMode !== 'normal') changes.push('mix-blend-mode')
      if (style.filter !== 'none') changes.push('filter')
    }
    if (getComputedStyle(element).webkitBackgroundClip.includes('text')) changes.push('background-clip')
    return { opacity, changes }
  }

  function add(element, text, rects, color, opacity = 1) {
    const style = getComputedStyle(element)
    if (style.visibility !== 'visible' || !rects.length) return
    const key = `${color}|${opacity}`
    const there = found.get(element)?.get(key)
    if (there) {
      there.rects.push(...rects)
      return
    }
    const around = aroundOf(element)
    const entry = {
      name: nameOf(element),
      text: text.trim().replace(/\s+/g, ' ').slice(0, LONGEST),
      rects,
      color,
      opacity: around.opacity * opacity,
      changes: around.changes,
      size: parseFloat(style.fontSize),
      weight: parseInt(style.fontWeight, 10),
      disabled: element.closest(':disabled, [aria-disabled="true"]') !== null,
    }
    if (!found.has(element)) found.set(element, new Map())
    found.get(element).set(key, entry)
  }

  function rectsOf(list) {
    return [...list]
      .filter((one) => one.width >= 1 && one.height >= 1)
      .map((one) => [one.left + scrollX, one.top + scrollY, one.right + scrollX, one.bottom + scrollY])
  }

  function colorOf(element) {
    const style = getComputedStyle(element)
    return element instanceof SVGElement ? style.fill : style.webkitTextFillColor
  }

  function addField(field) {
    const rects = rectsOf([field.getBoundingClientRect()])
    if (field.value) add(field, field.value, rects, colorOf(field))
    else if (field.placeholder) {
      const style = getComputedStyle(field, '::placeholder')
      add(field, field.placeholder, rects, style.webkitTextFillColor, Number(style.opacity))
    }
  }

  const TYPED = /^(text|search|email|url|tel|number|password|date|time|submit|button|reset|)$/
  function walk(root) {
    const walker = document.createTreeWalker(root, NodeFilter.SHOW_ELEMENT | NodeFilter.SHOW_TEXT)
    for (let node = walker.nextNode(); node; node = walker.nextNode()) {
      if (node.nodeType === Node.ELEMENT_NODE) {
        if (node.shadowRoot) walk(node.shadowRoot)
        if (node.localName === 'textarea') addField(node)
        else if (node.localName === 'input' && TYPED.test(node.type)) addField(node)
        continue
      }
      const element = node.parentElement ?? node.getRootNode().host
      if (!node.data.trim() || !element || SKIPPED.has(element.tagName)) continue
      const range = document.createRange()
      range.selectNodeContents(node)
      add(element, node.data, rectsOf(range.getClientRects()), colorOf(element))
    }
  }
  walk(document.body)
  return [...found.values()].flatMap((each) => [...each.values()])
}
