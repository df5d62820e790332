import { createPinia } from 'pinia'
import { createApp } from 'vue'
import App from './App.vue'
import { router } from './router'
import { loadFonts } from './ui/fonts'
import { fetchTheRest } from './ui/later'
import './style.css'
import './ui/stripes.css'

createApp(App).use(createPinia()).use(router).mount('#app')
void loadFonts(router.isReady())
  .catch(() => undefined)
  .then(fetchTheRest)
