/** A review of two takes, as a client gets it. */
import type { ReviewContent, ShownTake } from '@/api/types'

const take = (name: string, version: number): ShownTake => ({
  name,
  version,
  digest: 'd'.repeat(64),
  level: 'AA',
  failing: 0,
  drawn: { day: {} },
  colors: {
    day: [
      {
        name: 'Night indigo',
        roles: 'Primary',
        used_for: 'The leading colour',
        hex: '#2b3a8c',
        label: '#ffffff',
        share: 1,
        values: [{ notation: 'hex', text: '#2b3a8c' }],
      },
    ],
  },
  logo: null,
  picture: null,
  letters: [],
  fonts: [],
  icons: null,
  sheet: 's'.repeat(64),
})

export const aReview = (): { content: ReviewContent } => ({
  content: {
    format: 1,
    brand: 'Orrin Peak',
    studio: '',
    greeting: '',
    pages: [{ id: 'home', name: 'Home page' }],
    widths: ['wide', 'phone'],
    takes: [take('Midnight', 1), take('Dusk', 2)],
  },
})
