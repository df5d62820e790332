import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import type { Plugin } from 'vite'

/**
 * The entry is a line that imports the rest: its files are named in the page, so that they are asked for at once.
 */
function preloadsStart(): Plugin {
  return {
    name: 'preloads-start',
    transformIndexHtml: {
      order: 'post',
      handler(_html, { bundle, filename }) {
        if (!bundle || !filename.endsWith('/index.html')) return []
        const chunks = Object.values(bundle).filter((one) => one.type === 'chunk')
        const start = chunks.find((one) => one.facadeModuleId?.endsWith('/src/start.ts'))
        if (!start) throw new Error('src/start.ts is no chunk of its own any more')
        const files = new Set([
          start,
          ...chunks.filter((one) => start.imports.includes(one.fileName)),
        ])
        const styles = new Set(
          [...files].flatMap((one) => [...(one.viteMetadata?.importedCss ?? [])]),
        )
        return [
          ...[...styles].map((href) => ({ rel: 'preload', as: 'style', href: `/${href}` })),
          ...[...files].map(({ fileName }) => ({ rel: 'modulepreload', href: `/${fileName}` })),
        ].map((attrs) => ({ tag: 'link', attrs, injectTo: 'head' as const }))
      },
    },
  }
}

export default defineConfig({
  plugins: [vue(), tailwindcss(), preloadsStart()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  build: {
    // The Content-Security-Policy allows no data: address, so that nothing may be inlined.
    assetsInlineLimit: 0,
    target: 'es2022',
    // By it the server knows which files a view is made of, and names them with the page.
    manifest: true,
    // The application, the page of its API, and a client's review.
    rolldownOptions: { input: ['index.html', 'docs.html', 'review.html'] },
  },
})
