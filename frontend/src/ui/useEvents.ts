/** That something is new, told by the server over a connection that stays open (server-sent events). */
import { onScopeDispose } from 'vue'

/**
 * Tell whenever something is new; return what ends it.
 *
 * A browser keeps six connections to a server for all of its windows together, so that only a window that
 * is seen holds one. When it is seen again, it may have missed something: that is told, too.
 */
export function followEvents(address: string, tell: () => void): () => void {
  let events: EventSource | undefined

  function open() {
    if (document.visibilityState === 'hidden' || events) return
    events = new EventSource(address)
    events.addEventListener('new', tell)
  }
  function close() {
    events?.close()
    events = undefined
  }
  /** The server tells once, as soon as it is asked. */
  function turn() {
    if (document.visibilityState === 'hidden') close()
    else open()
  }

  open()
  document.addEventListener('visibilitychange', turn)
  return () => {
    document.removeEventListener('visibilitychange', turn)
    close()
  }
}

/** The same for as long as a component is there. */
export function useEvents(address: string, tell: () => void) {
  onScopeDispose(followEvents(address, tell))
}
