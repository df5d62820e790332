/** What every part of a sample page is drawn from, handed down from the frame. */
import { inject, provide } from 'vue'
import type { ComputedRef, InjectionKey } from 'vue'
import type { VoiceCopy } from './voices/copy'
import type { GroundFigures, ProofFigures, ProofSettings } from '@/api/types'

export interface ProofContext {
  brand: string
  copy: VoiceCopy
  page: string
  figures: ProofFigures
  settings: ProofSettings
  logo: string | undefined
  picture: string | undefined
  /** Over the picture: a colour of the take with its opacity. */
  layer: { hex: string; alpha: number } | undefined
}

const CONTEXT: InjectionKey<ComputedRef<ProofContext>> = Symbol('proof')
const GROUND: InjectionKey<ComputedRef<GroundFigures | undefined>> = Symbol('ground')

export const provideProof = (context: ComputedRef<ProofContext>) => {
  provide(CONTEXT, context)
}

export function useProofContext(): ComputedRef<ProofContext> {
  const context = inject(CONTEXT)
  if (!context) throw new Error('A part of a proof stands outside of a frame.')
  return context
}

export const provideGround = (ground: ComputedRef<GroundFigures | undefined>) => {
  provide(GROUND, ground)
}
export const useGround = () => inject(GROUND, undefined)

/** “quiet text” as the name of a class or a variable. */
export const slug = (element: string) => element.replaceAll(' ', '-')
