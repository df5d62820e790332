/** A list that begins elsewhere: the same figures in another order, so that no two trades show one chart. */
export const turned = <Entry>(list: readonly Entry[], by: number): Entry[] => [
  ...list.slice(by % list.length),
  ...list.slice(0, by % list.length),
]
