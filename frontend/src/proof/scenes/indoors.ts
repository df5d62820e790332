/** Drawn pictures of things: a laid table, hands at work, a plant, cloth, a mug. */
import { area, bar, disc, leaf, oval, polygon, ring, round, shape, times } from './scene'
import type { Paint, Scene, Shape } from './scene'

const plate = (x: number, y: number, radius: number): Shape[] => [
  disc('paper', x, y, radius),
  ring('mist', x, y, radius - 12, 6),
]
const fish = (x: number, y: number, body: Paint, fin: Paint): Shape[] => [
  shape(body, `M ${x - 70} ${y} q 60 -52 120 -6 l 26 -24 v 60 l -26 -24 q -60 46 -120 -6 z`),
  polygon(fin, [x - 6, y - 30], [x + 30, y - 18], [x + 2, y - 8]),
  disc('deep', x - 44, y - 6, 5),
]
const lemon = (x: number, y: number, radius: number): Shape[] => [
  disc('accent', x, y, radius),
  disc('accent light', x, y, radius - 6),
  ...times(3, (row) => {
    const turn = (Math.PI / 3) * row
    const [across, down] = [Math.cos(turn) * (radius - 8), Math.sin(turn) * (radius - 8)]
    return bar('accent', [x - across, y - down], [x + across, y + down], 4)
  }),
]

export const table: Scene = {
  label: 'A laid table from above: fish on a plate, lemons, two cups and a striped cloth',
  width: 640,
  height: 480,
  shapes: [
    area('secondary', 0, 0, 640, 480),
    ...times(9, (row) => area(row % 2 ? 'paper' : 'primary', 430 + row * 24, 0, 24, 480)),
    ...plate(230, 250, 140),
    ...fish(226, 250, 'primary', 'primary light'),
    ...lemon(280, 330, 30),
    ...plate(520, 140, 84),
    disc('secondary dark', 520, 140, 46),
    disc('accent dark', 506, 132, 14),
    disc('accent', 536, 150, 12),
    ring('paper', 470, 390, 46, 12),
    disc('deep', 470, 390, 34),
    round('paper', 510, 382, 28, 16, 8),
    disc('primary dark', 90, 90, 50),
    disc('primary light', 90, 90, 38),
    ...lemon(70, 400, 36),
    round('deep', 402, 180, 10, 150, 5),
    round('deep', 40, 180, 10, 130, 5),
    round('deep', 30, 180, 6, 52, 3),
    round('deep', 54, 180, 6, 52, 3),
  ],
}

const hand = (x: number, y: number, way: 1 | -1, skin: Paint, sleeve: Paint): Shape[] => {
  const flat = (from: number, width: number) => (way === 1 ? x + from : x - from - width)
  return [
    round(sleeve, flat(-190, 130), y - 40, 130, 92, 16),
    round('paper', flat(-72, 18), y - 36, 18, 84, 6),
    round(skin, flat(-60, 92), y - 30, 92, 74, 30),
    ...times(4, (row) =>
      round(
        skin,
        flat(4, 86 - Math.abs(row - 1) * 10),
        y - 34 + row * 20,
        86 - Math.abs(row - 1) * 10,
        17,
        8,
      ),
    ),
    round(skin, flat(-20, 60), y + 34, 60, 20, 10),
  ]
}

export const hands: Scene = {
  label: 'Two hands that shape a bowl on a wheel',
  width: 640,
  height: 480,
  shapes: [
    area('mist', 0, 0, 640, 480),
    disc('accent light', 320, 200, 170),
    area('primary', 0, 400, 640, 80),
    round('primary dark', 190, 372, 260, 34, 17),
    shape('secondary', 'M 208 220 h 224 q 0 152 -72 152 h -80 q -72 0 -72 -152 z'),
    oval('secondary dark', 320, 222, 112, 24),
    shape('secondary light', 'M 216 280 q 104 32 208 0 v 16 q -104 32 -208 0 z'),
    ...hand(196, 300, 1, 'accent', 'primary'),
    ...hand(444, 300, -1, 'accent dark', 'primary light'),
  ],
}

export const plant: Scene = {
  label: 'A plant in a pot at a window',
  width: 640,
  height: 480,
  shapes: [
    area('primary light', 0, 0, 640, 480),
    area('paper', 60, 40, 230, 330),
    area('paper', 350, 40, 230, 330),
    area('mist', 76, 56, 198, 298),
    area('mist', 366, 56, 198, 298),
    disc('accent', 500, 130, 46),
    area('primary', 0, 400, 640, 80),
    bar('secondary dark', [320, 330], [320, 120], 8),
    leaf('secondary', [320, 300], [170, 210], 60),
    leaf('secondary dark', [320, 290], [470, 220], 56),
    leaf('secondary light', [320, 230], [200, 110], 48),
    leaf('secondary', [320, 220], [430, 90], 50),
    leaf('secondary dark', [320, 160], [310, 30], 40),
    polygon('accent dark', [240, 318], [400, 318], [376, 430], [264, 430]),
    area('accent', 228, 304, 184, 30),
  ],
}

export const cloth: Scene = {
  label: 'A loom from the front: threads, and the cloth that grows under the beam',
  width: 640,
  height: 480,
  shapes: [
    area('primary dark', 0, 0, 640, 480),
    ...times(16, (row) => {
      const paints: readonly Paint[] = ['accent', 'paper', 'secondary', 'primary', 'accent light']
      return area(paints[(row * 7) % 5] ?? 'paper', 14 + row * 40, 0, 10 + ((row * 5) % 3) * 6, 480)
    }),
    area('primary', 0, 260, 640, 220),
    ...times(11, (row) =>
      times(12, (column) =>
        area(
          (['accent', 'secondary', 'paper', 'accent light'] as const)[(row + column * 3) % 4] ??
            'paper',
          (row % 2) * 26 + column * 54,
          268 + row * 20,
          34,
          13,
        ),
      ),
    ).flat(),
    area('deep', 0, 224, 640, 32),
    round('deep', 14, 208, 44, 64, 4),
    shape('paper', 'M 220 210 q 100 -60 200 0 l -12 16 q -88 -46 -176 0 z'),
  ],
}

const stripes = (label: string, ground: Paint, shapes: readonly Shape[]): Scene => ({
  label,
  width: 320,
  height: 240,
  shapes: [area(ground, 0, 0, 320, 240), ...shapes],
})

export const twill = stripes(
  'Cloth in diagonal stripes',
  'secondary',
  times(22, (row) => {
    const x = -240 + row * 28
    return polygon(
      row % 3 ? 'accent light' : 'paper',
      [x, 240],
      [x + 240, 0],
      [x + 250, 0],
      [x + 10, 240],
    )
  }),
)
export const check = stripes('Cloth in checks', 'primary', [
  ...times(5, (row) => area('primary dark', 0, 22 + row * 50, 320, 18)),
  ...times(6, (column) => area('accent dark', 18 + column * 56, 0, 20, 240)),
  ...times(5, (row) =>
    times(6, (column) => area('accent', 18 + column * 56, 22 + row * 50, 20, 18)),
  ).flat(),
])
export const herringbone = stripes(
  'Cloth in herringbone',
  'accent',
  times(10, (row) =>
    times(8, (column) => {
      const [x, y] = [column * 40, row * 26 - 10]
      return polygon(
        'accent dark',
        [x, y + 20],
        [x + 20, y],
        [x + 40, y + 20],
        [x + 40, y + 29],
        [x + 20, y + 9],
        [x, y + 29],
      )
    }),
  ).flat(),
)

export const mug: Scene = {
  label: 'An enamel mug',
  width: 320,
  height: 240,
  shapes: [
    area('mist', 0, 0, 320, 240),
    disc('accent light', 150, 128, 100),
    shape(
      'primary dark',
      'M 206 84 h 34 a 28 28 0 0 1 28 28 v 22 a 28 28 0 0 1 -28 28 h -34 v -18 h 32 a 12 12 0 0 0 12 -12 v -18 a 12 12 0 0 0 -12 -12 h -32 z',
    ),
    shape('primary', 'M 76 52 h 140 v 128 a 24 24 0 0 1 -24 24 h -92 a 24 24 0 0 1 -24 -24 z'),
    area('secondary', 76, 150, 140, 16),
    area('paper', 68, 44, 156, 14),
  ],
}
export const jar: Scene = {
  label: 'A jar with a label',
  width: 320,
  height: 240,
  shapes: [
    area('mist', 0, 0, 320, 240),
    disc('primary light', 170, 120, 96),
    round('secondary', 100, 66, 120, 150, 18),
    round('secondary dark', 112, 40, 96, 30, 6),
    area('paper', 100, 110, 120, 62),
    leaf('primary', [140, 162], [182, 118], 20),
    disc('accent', 146, 128, 9),
  ],
}
export const book: Scene = {
  label: 'A book with a ribbon',
  width: 320,
  height: 240,
  shapes: [
    area('mist', 0, 0, 320, 240),
    polygon('secondary light', [40, 200], [280, 200], [300, 222], [20, 222]),
    round('primary', 96, 34, 136, 172, 6),
    area('primary dark', 96, 34, 22, 172),
    area('paper', 136, 66, 76, 8),
    area('paper', 136, 84, 50, 8),
    disc('accent', 174, 146, 26),
    polygon('accent dark', [206, 34], [222, 34], [222, 86], [214, 76], [206, 86]),
  ],
}
