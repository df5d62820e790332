import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

export default defineConfig({
  plugins: [vue(), tailwindcss()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  build: {
    // The Content-Security-Policy allows no data: address, so that nothing may be inlined.
    assetsInlineLimit: 0,
    target: 'es2022',
    // The application, the page of its API, and a client's review.
    rolldownOptions: { input: ['index.html', 'docs.html', 'review.html'] },
  },
})
