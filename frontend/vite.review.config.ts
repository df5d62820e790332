import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

/**
 * What a review is made of, each a script, a style and fonts: `pages` draws the sample pages and is kept
 * with every review; `client` is the page around them, for a review that is sent as one file.
 */
export default defineConfig(({ mode: bundle }) => ({
  plugins: [vue(), tailwindcss()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  base: './',
  publicDir: false,
  define: { 'process.env.NODE_ENV': '"production"' },
  build: {
    outDir: `dist/${bundle}`,
    assetsInlineLimit: 0,
    cssCodeSplit: false,
    target: 'es2022',
    rolldownOptions: {
      input: `src/review/${bundle === 'pages' ? 'drawing/main.ts' : 'client/offline.ts'}`,
      output: {
        format: 'iife',
        entryFileNames: `${bundle}.js`,
        assetFileNames: (asset) =>
          asset.names.some((name) => name.endsWith('.css'))
            ? `${bundle}.css`
            : '[name]-[hash][extname]',
      },
    },
  },
}))
