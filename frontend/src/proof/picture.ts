/** A picture of a drawn page, as the browser paints it. */
import { toBlob } from 'html-to-image'
import { facesOf } from './pictureFaces'

export async function savePicture(body: HTMLElement, name: string, scale: 1 | 2) {
  const marked = [...body.querySelectorAll('.is-chosen')]
  for (const one of marked) one.classList.remove('is-chosen')
  const { scrollWidth: width, scrollHeight: height } = body.ownerDocument.documentElement
  const fontEmbedCSS = await facesOf(body.ownerDocument)
  const blob = await toBlob(body, { pixelRatio: scale, width, height, fontEmbedCSS })
  for (const one of marked) one.classList.add('is-chosen')
  if (!blob) throw new Error('The browser could not draw the picture.')
  const address = URL.createObjectURL(blob)
  const link = document.createElement('a')
  link.href = address
  link.download = `${name}.png`
  link.click()
  URL.revokeObjectURL(address)
}
