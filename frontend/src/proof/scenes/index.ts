/** The drawn pictures by their names. */
import { cloth, book, check, hands, herringbone, jar, mug, plant, table, twill } from './indoors'
import { bicycle, facade, harbour, landscape, street } from './outdoors'
import { care, choir, sound, speech } from './people'
import { area, disc } from './scene'
import type { Paint, Scene } from './scene'

const bicycleAlone = (label: string, frame: Paint, behind: Paint): Scene => ({
  label,
  width: 400,
  height: 300,
  shapes: [
    area('mist', 0, 0, 400, 300),
    disc(behind, 200, 150, 118),
    area('primary light', 0, 252, 400, 48),
    ...bicycle(50, 256, frame, 'deep', 'deep'),
  ],
})

export const SCENES = {
  landscape,
  harbour,
  street,
  facade,
  table,
  hands,
  plant,
  cloth,
  twill,
  check,
  herringbone,
  mug,
  jar,
  book,
  care,
  choir,
  speech,
  sound,
  'town bicycle': bicycleAlone('A bicycle for town', 'primary', 'accent light'),
  'travel bicycle': bicycleAlone('A bicycle for long ways', 'secondary', 'primary light'),
  'child bicycle': bicycleAlone('A bicycle for a child', 'accent dark', 'secondary light'),
} as const satisfies Record<string, Scene>

export type SceneName = keyof typeof SCENES
