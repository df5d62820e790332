/** A picture of a drawn page, as the browser paints it. */
import { toBlob } from 'html-to-image'
import { saveFile } from '@/ui/fetchFile'
import { facesOf } from './pictureFaces'

export async function savePicture(body: HTMLElement, name: string, scale: 1 | 2) {
  const marked = [...body.querySelectorAll('.is-chosen')]
  for (const one of marked) one.classList.remove('is-chosen')
  const { scrollWidth: width, scrollHeight: height } = body.ownerDocument.documentElement
  const fontEmbedCSS = await facesOf(body.ownerDocument)
  const blob = await toBlob(body, { pixelRatio: scale, width, height, fontEmbedCSS })
  for (const one of marked) one.classList.add('is-chosen')
  if (!blob) throw new Error('The browser could not draw the picture.')
  saveFile(blob, `${name}.png`)
}
