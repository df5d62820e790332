/** What stands over a view, or beside it once a colour is chosen. */
import { later } from '@/ui/later'

export const KeySheet = later(() => import('./KeySheet.vue'))
export const WordSheet = later(() => import('./WordSheet.vue'))
export const StudioDialog = later(() => import('@/studio/StudioDialog.vue'))
export const NotationSheet = later(() => import('@/handoff/NotationSheet.vue'))
export const PasteDialog = later(() => import('@/source/PasteDialog.vue'))
export const ChosenColor = later(() => import('./ChosenColor.vue'))
