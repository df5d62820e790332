/** What stands beside a view once a colour is chosen. */
import { later } from '@/ui/later'

export const ChosenColor = later(() => import('./ChosenColor.vue'))
