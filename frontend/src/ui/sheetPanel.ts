import { later } from './later'

export const SheetPanel = later(() => import('./SheetPanel.vue'))
