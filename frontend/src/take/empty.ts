/** A take before there is anything in it, as the server has it: `make types`. */
import type { TakeDocument } from '@/api/types'
import empty from '@/api/empty-take.json'

export const EMPTY_TAKE = empty as unknown as TakeDocument
