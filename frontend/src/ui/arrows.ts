/** What an arrow key points at: steps to the right and down, or undefined for any other key. */
export function arrowOf(event: KeyboardEvent): readonly [number, number] | undefined {
  return ARROWS[event.key]
}

const ARROWS: Readonly<Record<string, readonly [number, number] | undefined>> = {
  ArrowLeft: [-1, 0],
  ArrowRight: [1, 0],
  ArrowUp: [0, -1],
  ArrowDown: [0, 1],
}
