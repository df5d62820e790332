/** What every part of a sample page is drawn from, handed down from the frame. */
import { computed, inject, provide, proxyRefs, shallowRef } from 'vue'
import type { ComputedRef, InjectionKey, Ref } from 'vue'
import { EVERY_PAGE, textKey } from './ownTexts'
import type { OwnText, OwnTexts } from './ownTexts'
import type { PageFont } from './pageFonts'
import type { PlacedPictures, ShownPicture } from './placedPictures'
import type { VoiceCopy } from './voices'
import type { GroundFigures, ProofFigures, ProofSettings } from '@/api/types'

export interface ProofContext {
  brand: string
  copy: VoiceCopy
  page: string
  figures: ProofFigures
  settings: ProofSettings
  logo: string | undefined
  picture: ShownPicture | undefined
  placed: PlacedPictures
  /** Over the picture: a colour of the take with its opacity. */
  layer: { hex: string; alpha: number } | undefined
  texts: OwnTexts
  /** The brand’s own that the page is set in. */
  fonts: readonly PageFont[]
}

const CONTEXT: InjectionKey<Ref<ProofContext>> = Symbol('proof')
const GROUND: InjectionKey<ComputedRef<GroundFigures | undefined>> = Symbol('ground')

/** Handed down field by field: a part of a page is drawn again only where a field that it reads changed. */
export function provideProof(context: () => ProofContext) {
  const field = <Name extends keyof ProofContext>(name: Name) => computed(() => context()[name])
  const fields = {
    brand: field('brand'),
    copy: field('copy'),
    page: field('page'),
    figures: field('figures'),
    settings: field('settings'),
    logo: field('logo'),
    picture: field('picture'),
    placed: field('placed'),
    layer: field('layer'),
    texts: field('texts'),
    fonts: field('fonts'),
  }
  provide(CONTEXT, shallowRef(proxyRefs(fields)))
}

export function useProofContext(): Readonly<Ref<ProofContext>> {
  const context = inject(CONTEXT)
  if (!context) throw new Error('A part of a proof stands outside of a frame.')
  return context
}

export const provideGround = (ground: ComputedRef<GroundFigures | undefined>) => {
  provide(GROUND, ground)
}
export const useGround = () => inject(GROUND, undefined)

const SHARED: InjectionKey<true> = Symbol('shared')

/** What stands in here is the same on all pages: words typed over it are, too. */
export const provideShared = () => {
  provide(SHARED, true)
}

/** The page under which the words of a part are kept, and those typed in place of its own. */
export function useOwnText(part: () => string) {
  const context = useProofContext()
  const isShared = inject(SHARED, false)
  const page = computed(() => (isShared ? EVERY_PAGE : context.value.page))
  const own = computed<OwnText | undefined>(() => context.value.texts[textKey(page.value, part())])
  const spoken = computed(() => context.value.figures.spoken)
  return { page, own, spoken }
}

/** “quiet text” as the name of a class or a variable. */
export const slug = (element: string) => element.replaceAll(' ', '-')
