import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import type { Plugin } from 'vite'

/**
 * The entry is a line that imports the rest: its files are named in the page, so that they are asked for at once.
 * The style of the first frame stands in the page itself; the server allows it by its hash.
 */
function startsAtOnce(): Plugin {
  return {
    name: 'starts-at-once',
    transformIndexHtml: {
      order: 'post',
      handler(html, { bundle, filename }) {
        if (!bundle || !filename.endsWith('/index.html')) return html
        const chunks = Object.values(bundle).filter((one) => one.type === 'chunk')
        const start = chunks.find((one) => one.facadeModuleId?.endsWith('/src/start.ts'))
        const shell = Object.values(bundle).find(
          (one) => one.type === 'asset' && one.names.includes('index.css'),
        )
        if (!start || shell?.type !== 'asset')
          throw new Error('The start or the shell is no file of its own any more.')
        const files = new Set([
          start,
          ...chunks.filter((one) => start.imports.includes(one.fileName)),
        ])
        const styles = new Set(
          [...files].flatMap((one) => [...(one.viteMetadata?.importedCss ?? [])]),
        )
        const links = [
          ...[...styles].map(
            (href) => `<link rel="preload" as="style" crossorigin href="/${href}">`,
          ),
          ...[...files].map(({ fileName }) => `<link rel="modulepreload" href="/${fileName}">`),
        ]
        const style = `<style>${String(shell.source).trim()}</style>`
        // All links to style go: what the start needs comes with it.
        const rest = html.replaceAll(/\s*<link rel="stylesheet"[^>]*>/g, '')
        return rest.replace('</title>', `</title>\n    ${[style, ...links].join('\n    ')}`)
      },
    },
  }
}

export default defineConfig({
  // The help is made of docs/.
  server: { fs: { allow: ['..'] } },
  plugins: [vue(), tailwindcss(), startsAtOnce()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  build: {
    // The Content-Security-Policy allows no data: address, so that nothing may be inlined.
    assetsInlineLimit: 0,
    // Every browser of ES2022 but one preloads modules by itself, and that one does without.
    modulePreload: { polyfill: false },
    target: 'es2022',
    // By it the server knows which files a view is made of, and names them with the page.
    manifest: true,
    // The application, the page of its API, and a client's review.
    rolldownOptions: {
      input: ['index.html', 'docs.html', 'review.html'],
      output: {
        // What nearly every view needs is three files: over a slow line, forty small ones take as long as a
        // large one takes, and then again, since a browser asks a server for six at a time.
        codeSplitting: {
          groups: [
            {
              name: 'vue',
              test: /node_modules\/(@vue|vue|vue-router|pinia)\//,
              priority: 4,
            },
            {
              name: 'parts',
              test: /node_modules\/(@headlessui\/vue\/dist\/(?!components\/(combobox|dialog|disclosure|popover|portal|transitions))|@vueuse|openapi-fetch)/,
              priority: 3,
            },
            {
              name: 'common',
              test: /src\/(api|ui|take\/(?!\w+(Inspector|Fields|List|RemoveButton)\.vue)|head|panel\/(?!ShareField|ChosenColor)|frame\/(?!DeletedTakes)|page\/(use|InspectorPanel)|source\/useFileIntake|remarks\/cameBack|harmony\/layout)[^?]*\.(ts|vue)$/,
              minShareCount: 2,
              priority: 2,
            },
            // What stands beside a view once a colour is chosen.
            {
              name: 'chosen',
              test: /src\/(take\/(\w+Inspector|\w+Fields|PairList|UsesList|RemoveButton)|panel\/(ChosenColor|ShareField))\.vue$/,
              priority: 1,
            },
          ],
        },
      },
    },
  },
})
