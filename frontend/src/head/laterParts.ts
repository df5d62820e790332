/** The sheets that stand over a view. */
import { later } from '@/ui/later'

export const KeySheet = later(() => import('./KeySheet.vue'))
export const WordSheet = later(() => import('./WordSheet.vue'))
export const StudioDialog = later(() => import('./StudioDialog.vue'))
