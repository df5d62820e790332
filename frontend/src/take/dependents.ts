/** What uses a colour, in words: by day and by night, as the server finds it. */
import type { Dependents } from '@/api/types'

const counted = (count: number, one: string, many: string) =>
  count ? [`${count.toString()} ${count === 1 ? one : many}`] : []

export function linesOf(found: Dependents): string[] {
  return [
    ...found.roles,
    ...found.neutrals.map((name) => `Tint of ${name}`),
    ...found.overlays.map((name) => `Overlay ${name.replace(/^Overlay /, '')}`),
    ...found.grounds.map((name) => `Background ${name} in Proof`),
    ...counted(found.pairs, 'pair', 'pairs'),
    ...counted(found.elements, 'element in Proof', 'elements in Proof'),
    ...counted(found.slots, 'slot in Handoff', 'slots in Handoff'),
  ]
}
