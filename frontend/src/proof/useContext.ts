import { computed } from 'vue'
import type { ProofContext } from './context'
import { ownTextsOf } from './ownTexts'
import { ownFontsOf } from './pageFonts'
import { mainPicture, placedPictures } from './placedPictures'
import { copyOf } from './voices'
import type { ProofFigures, TakeDocument } from '@/api/types'
import { useBrandStore } from '@/take/brand'

/** What a page is drawn from, of the open take or of another one of the brand. */
export function useContext(
  document: () => TakeDocument | undefined,
  figures: () => ProofFigures | undefined,
  page: () => string,
) {
  const brand = useBrandStore()
  const sourceOf = (id: string | null) =>
    id && brand.detail?.sources.some((one) => one.id === id)
      ? `/api/sources/${id}/preview`
      : undefined

  return computed<ProofContext | undefined>(() => {
    const [take, drawn] = [document(), figures()]
    if (!take || !drawn) return undefined
    const { proof: settings } = take
    const name = brand.detail?.brand.name ?? ''
    return {
      brand: name,
      copy: copyOf(drawn.voice, name),
      page: page(),
      figures: drawn,
      settings,
      logo: sourceOf(settings.logo),
      picture: mainPicture(settings, drawn, sourceOf(settings.picture)),
      placed: placedPictures(settings, drawn, sourceOf),
      layer: drawn.layer ?? undefined,
      texts: ownTextsOf(settings.texts, drawn),
      fonts: ownFontsOf(drawn, brand.detail?.fonts ?? []),
    }
  })
}
