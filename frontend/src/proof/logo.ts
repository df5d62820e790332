/** How the logo is seen where it stands. What can be seen is the server’s to say. */
import type { LogoOn, ProofFigures } from '@/api/types'

export const logoOn = (figures: ProofFigures, ground: string | undefined): LogoOn | undefined =>
  figures.logo?.on.find((one) => one.ground === ground)

/** The section of a page that has the logo, with the ground that it stands on. */
export const markedSection = (figures: ProofFigures, page: string) =>
  figures.sections.find((one) => one.page === page && one.has_logo)

/** The brand board shows the logo on light and on dark. */
const BOARD_HALVES: readonly (string | undefined)[] = ['light', 'dark']

/** The shape of the logo, to be painted in one colour where its own can’t be seen. */
export function maskOn(figures: ProofFigures, ground: string | undefined, section?: string) {
  const { mask, is_in_one } = figures.logo ?? {}
  const seen = logoOn(figures, ground)
  const isLost = BOARD_HALVES.includes(section)
    ? seen && !seen.all_pass
    : is_in_one && seen?.has_vanished
  return (isLost && mask) || undefined
}
