import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { loadFonts } from './ui/fonts'
import './style.css'
import './ui/stripes.css'

createApp(App).use(createPinia()).use(router).mount('#app')
loadFonts(router.isReady())
