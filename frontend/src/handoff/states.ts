/** A take as it is now, or one of its versions, as addresses name it. */
export interface State {
  take: string
  version: string
}

export const NOW = 'now'

export const textOf = (state: State) =>
  state.version === NOW ? state.take : `${state.take}:${state.version}`
