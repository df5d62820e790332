/** What stands over any view of a take. */
import { later } from '@/ui/later'

export const NotationSheet = later(() => import('@/handoff/NotationSheet.vue'))
export const PasteDialog = later(() => import('@/source/PasteDialog.vue'))
