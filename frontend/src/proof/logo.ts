/** How the logo is seen where it stands. What can be seen is the server’s to say. */
import type { LogoOn, ProofFigures } from '@/api/types'

export const logoOn = (figures: ProofFigures, ground: string | undefined): LogoOn | undefined =>
  figures.logo?.on.find((one) => one.ground === ground)

/** The section of a page that has the logo, with the ground that it stands on. */
export const markedSection = (figures: ProofFigures, page: string) =>
  figures.sections.find((one) => one.page === page && one.has_logo)
