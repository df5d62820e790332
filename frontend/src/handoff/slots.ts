/** Slots of destinations that were filled by hand, kept with the take. */
import type { TakeDocument } from '@/api/types'

/** null gives the slot back to the rule. */
export function fillSlot(
  take: TakeDocument,
  destination: string,
  slot: string,
  key: string | null,
): TakeDocument {
  const others = take.slots.filter((one) => one.destination !== destination || one.slot !== slot)
  return { ...take, slots: key === null ? others : [...others, { destination, slot, key }] }
}
