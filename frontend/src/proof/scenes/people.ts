/** Drawn pictures with people, and those of what can’t be seen: voices, languages, music. */
import { area, bar, disc, hills, oval, polygon, ring, round, shape, times } from './scene'
import type { Paint, Scene, Shape } from './scene'

/** A person from the chest up; 120 wide. */
const person = (
  x: number,
  floor: number,
  skin: Paint,
  hair: Paint,
  clothes: Paint,
  sings = false,
): Shape[] => [
  shape(clothes, `M ${x} ${floor} v -62 a 46 46 0 0 1 46 -46 h 28 a 46 46 0 0 1 46 46 v 62 z`),
  round(skin, x + 46, floor - 136, 28, 44, 12),
  disc(skin, x + 60, floor - 158, 38),
  shape(hair, `M ${x + 20} ${floor - 158} a 40 40 0 0 1 80 -2 q -30 -2 -44 -16 q -12 16 -36 18 z`),
  ...(sings ? [oval('deep', x + 62, floor - 142, 7, 9)] : []),
]

export const care: Scene = {
  label: 'A doctor and a child in the sun before rolling hills',
  width: 640,
  height: 480,
  shapes: [
    area('primary light', 0, 0, 640, 480),
    disc('accent', 500, 120, 92),
    hills('secondary light', 640, 480, 330, 260, 340, 270, 320),
    hills('primary', 640, 480, 400, 360, 420, 350, 380),
    shape('paper', 'M 190 480 v -110 a 76 76 0 0 1 152 0 v 110 z'),
    disc('accent light', 266, 220, 50),
    shape('deep', 'M 212 220 a 54 54 0 0 1 108 -4 q -40 -2 -58 -22 q -18 22 -50 26 z'),
    shape(
      'primary dark',
      'M 236 300 q 0 54 30 54 q 30 0 30 -54 h -8 q 0 44 -22 44 q -22 0 -22 -44 z',
    ),
    disc('accent', 266, 364, 11),
    shape('accent', 'M 376 480 v -60 a 56 56 0 0 1 112 0 v 60 z'),
    disc('secondary', 432, 318, 42),
    shape('deep', 'M 388 320 a 45 45 0 0 1 90 -4 q -32 0 -48 -16 q -14 16 -42 20 z'),
  ],
}

const SINGERS: readonly (readonly [Paint, Paint, Paint])[] = [
  ['accent light', 'deep', 'primary'],
  ['secondary light', 'primary dark', 'paper'],
  ['accent', 'deep', 'secondary'],
  ['secondary light', 'accent dark', 'primary light'],
  ['accent light', 'secondary dark', 'accent'],
]

export const choir: Scene = {
  label: 'A choir in two rows, singing',
  width: 640,
  height: 480,
  shapes: [
    area('primary dark', 0, 0, 640, 480),
    disc('primary', 320, 470, 380),
    disc('secondary', 320, 500, 270),
    ...times(4, (row) => {
      const [skin, hair, clothes] = SINGERS[(row + 2) % 5] ?? ['accent', 'deep', 'paper']
      return person(56 + row * 136, 400, skin, hair, clothes, true)
    }).flat(),
    ...SINGERS.flatMap(([skin, hair, clothes], row) =>
      person(-4 + row * 132, 480, skin, hair, clothes, true),
    ),
  ],
}

const bubble = (
  x: number,
  y: number,
  width: number,
  height: number,
  paint: Paint,
  way: 1 | -1,
): Shape[] => [
  round(paint, x, y, width, height, 34),
  polygon(
    paint,
    [x + (way === 1 ? 60 : width - 100), y + height - 4],
    [x + (way === 1 ? 100 : width - 60), y + height - 4],
    [x + (way === 1 ? 44 : width - 44), y + height + 40],
  ),
]

export const speech: Scene = {
  label: 'Speech bubbles, each in a colour of its own, some of them overlapping',
  width: 640,
  height: 480,
  shapes: [
    area('secondary light', 0, 0, 640, 480),
    disc('primary light', 110, 400, 150),
    ...bubble(60, 50, 330, 150, 'primary', 1),
    ...bubble(270, 150, 320, 150, 'accent', -1),
    ...bubble(80, 282, 300, 124, 'paper', 1),
    ...[92, 124, 152].map((y, row) => round('paper', 100, y, 220 - row * 44, 14, 7)),
    ...[196, 226, 254].map((y, row) => round('deep', 320, y, 200 - row * 40, 14, 7)),
    ...times(3, (row) => disc('secondary dark', 180 + row * 50, 344, 15)),
    round('deep', 450, 350, 120, 76, 26),
    polygon('deep', [520, 420], [548, 420], [560, 452]),
    ring('accent light', 510, 388, 22, 7),
  ],
}

export const sound: Scene = {
  label: 'Arcs, discs and bars, as a drawing of music',
  width: 640,
  height: 480,
  shapes: [
    area('deep', 0, 0, 640, 480),
    area('primary light', 0, 0, 160, 160),
    shape('accent', 'M 0 160 a 160 160 0 0 1 160 -160 v 160 z'),
    area('secondary', 160, 0, 160, 160),
    disc('paper', 240, 80, 56),
    disc('primary', 240, 80, 28),
    shape('secondary light', 'M 320 0 a 160 160 0 0 1 160 160 h -160 z'),
    area('accent dark', 480, 0, 160, 160),
    ...times(5, (row) =>
      area(
        'accent light',
        496 + row * 28,
        24 + ((row * 3) % 4) * 22,
        14,
        112 - ((row * 3) % 4) * 22,
      ),
    ),
    shape('paper', 'M 0 320 a 160 160 0 0 0 160 -160 h -160 z'),
    area('paper', 160, 160, 160, 160),
    ...times(5, (row) => area('deep', 176, 184 + row * 26, 128, 5)),
    disc('accent', 210, 278, 16),
    bar('deep', [224, 278], [224, 196], 5),
    disc('secondary', 268, 252, 16),
    bar('deep', [282, 252], [282, 176], 5),
    area('accent', 320, 160, 160, 160),
    shape('deep', 'M 480 160 a 160 160 0 0 0 -160 160 h 60 a 100 100 0 0 1 100 -100 z'),
    shape('mist', 'M 480 320 a 160 160 0 0 1 160 -160 v 160 z'),
    disc('secondary dark', 80, 400, 80),
    disc('accent light', 80, 400, 40),
    shape('primary light', 'M 160 480 a 160 160 0 0 1 320 0 z'),
    shape('primary', 'M 210 480 a 110 110 0 0 1 220 0 z'),
    shape('accent', 'M 262 480 a 58 58 0 0 1 116 0 z'),
    area('mist', 480, 320, 160, 160),
    ...times(4, (row) => area('secondary', 480, 336 + row * 38, 40 + ((row * 5) % 4) * 38, 14)),
  ],
}
