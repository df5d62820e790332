/** A client’s page, by the link that they were sent. */
import { createApp } from 'vue'
import ReviewPage from './ReviewPage.vue'
import { serverTalk } from './serverTalk'
import { loadFonts } from '@/ui/fonts'
import '@/style.css'

const token = location.pathname.split('/')[2] ?? ''
createApp(ReviewPage, { talk: serverTalk(token) }).mount('#app')
void loadFonts(Promise.resolve()).catch(() => undefined)
