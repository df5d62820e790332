/**
 * Parts that no view needs when it opens: their code comes when the first view stands, or when one is wanted
 * before. Over a slow line they would take the place of what is to be seen.
 */
import { defineAsyncComponent } from 'vue'
import type { Component } from 'vue'
import MissingPart from './MissingPart.vue'

let start: () => void = () => undefined
const started = new Promise<void>((resolve) => (start = resolve))

/** The first view stands, and the line is free. */
export const fetchTheRest = () => {
  start()
}

/** A component whose code is fetched later. */
export function later<T extends Component>(load: () => Promise<{ default: T }>): T {
  // What fails here is said when it is wanted.
  void started.then(load).catch(() => undefined)
  return defineAsyncComponent(() =>
    load().then(
      (found) => found.default,
      (): Component => MissingPart,
    ),
  ) as T
}
