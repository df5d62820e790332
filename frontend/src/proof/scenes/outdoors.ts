/** Drawn pictures of places: hills by night, a harbour, a street, a house front. */
import { area, bar, disc, hills, leaf, oval, polygon, ring, round, shape, times } from './scene'
import type { Paint, Scene, Shape } from './scene'

const STARS = [
  [60, 60, 3],
  [130, 130, 2],
  [190, 50, 2.5],
  [250, 100, 2],
  [330, 40, 3],
  [380, 140, 2],
  [560, 190, 2.5],
  [600, 60, 3],
  [90, 200, 2],
  [420, 70, 2],
  [30, 130, 2],
  [290, 170, 2],
] as const

export const landscape: Scene = {
  label: 'Hills by night, with a dome on the highest and the moon above',
  width: 640,
  height: 480,
  shapes: [
    area('deep', 0, 0, 640, 480),
    ...STARS.map(([x, y, radius]) => disc('paper', x, y, radius)),
    disc('accent', 500, 110, 58),
    hills('primary', 640, 480, 300, 210, 330, 250, 300),
    hills('primary light', 640, 480, 380, 330, 270, 340, 300),
    round('paper', 262, 236, 96, 60, 2),
    shape('mist', 'M 262 236 a 48 48 0 0 1 96 0 z'),
    polygon('deep', [302, 188], [318, 188], [324, 236], [308, 236]),
    area('accent', 300, 262, 20, 34),
    hills('secondary', 640, 480, 350, 400, 330, 390, 430),
    hills('secondary dark', 640, 480, 440, 400, 440, 410, 380),
    ...[70, 110, 520, 560, 596].map((x, row) =>
      polygon('deep', [x, 372 + (row % 2) * 14], [x + 22, 452], [x - 22, 452]),
    ),
    hills('deep', 640, 480, 450, 430, 462, 440, 456),
  ],
}

export const harbour: Scene = {
  label: 'A harbour with two boats, a quay and gulls in the sun',
  width: 960,
  height: 400,
  shapes: [
    area('primary light', 0, 0, 960, 400),
    disc('accent', 700, 130, 92),
    hills('secondary light', 960, 400, 230, 190, 240, 200, 170, 230),
    area('primary', 0, 240, 960, 160),
    ...times(7, (row) => round('primary light', 40 + row * 140, 272 + (row % 3) * 34, 90, 6, 3)),
    polygon('secondary', [150, 250], [350, 250], [318, 300], [186, 300]),
    area('deep', 246, 90, 6, 164),
    polygon('paper', [240, 100], [240, 236], [160, 236]),
    polygon('accent', [258, 120], [258, 236], [326, 236]),
    polygon('deep', [470, 262], [610, 262], [590, 296], [494, 296]),
    round('paper', 512, 226, 62, 38, 4),
    area('primary dark', 522, 236, 14, 14),
    area('primary dark', 546, 236, 14, 14),
    area('accent dark', 530, 190, 12, 38),
    area('accent dark', 760, 220, 200, 180),
    ...times(4, (row) => area('deep', 772 + row * 48, 300, 12, 100)),
    round('paper', 800, 120, 130, 100, 2),
    polygon('secondary dark', [788, 124], [942, 124], [865, 74]),
    area('deep', 850, 168, 30, 52),
    area('secondary', 814, 146, 22, 22),
    area('secondary', 894, 146, 22, 22),
    ...[
      [420, 70],
      [470, 100],
      [110, 60],
    ].map(([x = 0, y = 0]) =>
      shape('deep', `M ${x} ${y} q 12 -14 22 0 q 12 -14 22 0 q -12 -6 -22 6 q -10 -12 -22 -6 z`),
    ),
  ],
}

const HOUSES: readonly (readonly [
  x: number,
  width: number,
  top: number,
  wall: Paint,
  roof: Paint,
])[] = [
  [0, 130, 150, 'secondary', 'secondary dark'],
  [130, 110, 110, 'paper', 'primary'],
  [240, 140, 170, 'accent', 'accent dark'],
  [380, 110, 96, 'secondary light', 'primary dark'],
  [490, 150, 140, 'primary light', 'deep'],
]

const house = ([x, width, top, wall, roof]: (typeof HOUSES)[number]): Shape[] => [
  area(wall, x, top, width, 290 - top),
  polygon(roof, [x, top], [x + width / 2, top - 54], [x + width, top]),
  ...times(4, (row) =>
    area(
      row === 1 ? 'accent light' : 'deep',
      x + 22 + (row % 2) * (width - 70),
      top + 24 + (row > 1 ? 54 : 0),
      26,
      34,
    ),
  ),
]

/** A bicycle, seen from its side; 300 wide, from its lower left corner. */
export const bicycle = (
  left: number,
  floor: number,
  frame: Paint,
  wheel: Paint,
  seat: Paint,
): Shape[] => {
  const at = (x: number, y: number): [number, number] => [left + x, floor - y]
  const hub = (x: number): [number, number] => at(x, 62)
  const [back, front] = [hub(62), hub(238)]
  return [
    ring(wheel, ...back, 62, 8),
    ring(wheel, ...front, 62, 8),
    disc(wheel, ...back, 8),
    disc(wheel, ...front, 8),
    bar(frame, back, at(128, 62), 9),
    bar(frame, back, at(108, 132), 9),
    bar(frame, at(128, 62), at(104, 150), 11),
    bar(frame, at(128, 62), at(208, 138), 11),
    bar(frame, at(108, 132), at(205, 142), 11),
    bar(frame, front, at(204, 164), 11),
    bar(seat, at(204, 164), at(176, 176), 9),
    bar(seat, at(204, 164), at(226, 172), 9),
    round(seat, left + 82, floor - 164, 48, 13, 6),
    disc(seat, ...at(128, 62), 15),
    bar(seat, at(128, 62), at(142, 38), 6),
  ]
}

export const street: Scene = {
  label: 'A bicycle in front of a row of houses',
  width: 640,
  height: 480,
  shapes: [
    area('mist', 0, 0, 640, 480),
    disc('accent light', 560, 60, 44),
    ...HOUSES.flatMap(house),
    area('primary', 0, 290, 640, 60),
    area('primary dark', 0, 350, 640, 130),
    ...times(5, (row) => area('paper', 20 + row * 136, 428, 72, 8)),
    ...bicycle(170, 410, 'accent', 'deep', 'paper'),
  ],
}

export const facade: Scene = {
  label: 'A house front with columns, a door at the top of three steps and a tree beside it',
  width: 640,
  height: 480,
  shapes: [
    area('mist', 0, 0, 640, 480),
    round('paper', 150, 90, 90, 26, 13),
    round('paper', 196, 74, 120, 26, 13),
    area('secondary light', 170, 170, 400, 230),
    polygon('primary', [150, 170], [590, 170], [370, 80]),
    polygon('primary dark', [214, 158], [526, 158], [370, 94]),
    disc('accent', 370, 132, 16),
    area('primary', 150, 170, 440, 18),
    ...times(5, (row) => area('paper', 190 + row * 84, 188, 26, 212)),
    area('deep', 348, 262, 44, 138),
    disc('accent', 382, 336, 5),
    ...[238, 490].flatMap((x) => [
      area('primary dark', x - 2, 232, 32, 56),
      area('primary dark', x - 2, 312, 32, 56),
    ]),
    area('paper', 140, 400, 460, 20),
    area('mist', 120, 420, 500, 20),
    area('paper', 100, 440, 540, 40),
    area('secondary dark', 66, 290, 16, 190),
    oval('secondary', 74, 250, 70, 92),
    leaf('secondary light', [74, 330], [40, 220], 24),
    leaf('secondary dark', [74, 310], [112, 210], 20),
  ],
}
