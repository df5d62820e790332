/** Questions to the server: whose answer counts, and in which order they go out. */

/** Only the answer to the newest question counts; the ones before it are cancelled and answer undefined. */
export function createLatest() {
  let newest: AbortController | undefined

  async function ask<T>(work: (signal: AbortSignal) => Promise<T>): Promise<T | undefined> {
    newest?.abort()
    const own = (newest = new AbortController())
    try {
      const answer = await work(own.signal)
      return own === newest ? answer : undefined
    } catch (reason) {
      // What nobody waits for any more may fail as it likes.
      if (own !== newest) return undefined
      throw reason
    }
  }

  /** What is asked now is not wanted any more. */
  function cancel() {
    newest?.abort()
    newest = undefined
  }

  return { ask, cancel }
}

/** One at a time, in the order in which they were asked for; a failure doesn't stop those after it. */
export function createQueue() {
  let last: Promise<unknown> = Promise.resolve()

  return function inOrder<T>(work: () => Promise<T>): Promise<T> {
    const own = last.then(work, work)
    last = own.catch(() => undefined)
    return own
  }
}

/** One at a time; while it runs, only the newest of the others waits, and those between are dropped. */
export function createPaced<Question>(work: (question: Question) => Promise<void>) {
  let waiting: { question: Question } | undefined
  let running: Promise<void> | undefined

  async function run() {
    // Known to be running before anything is done.
    await Promise.resolve()
    try {
      for (let next = waiting; next; next = waiting) {
        waiting = undefined
        await work(next.question)
      }
    } finally {
      running = undefined
    }
  }

  function ask(question: Question): Promise<void> {
    waiting = { question }
    return (running ??= run())
  }

  /** What waits is not asked any more; what is under way ends. */
  function drop() {
    waiting = undefined
  }

  return { ask, drop }
}
