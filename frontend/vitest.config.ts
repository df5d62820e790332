import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** What has no screen: documents, stores, layout. The interface itself is driven by tests/browser. */
export default defineConfig({
  // The help is made of docs/.
  server: { fs: { allow: ['..'] } },
  plugins: [vue()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  test: {
    environment: 'happy-dom',
    environmentOptions: { happyDOM: { url: 'http://tonada.test/' } },
    setupFiles: ['src/testing/server.ts'],
    unstubGlobals: true,
    pool: 'threads',
    // By itself it leaves one processor to whoever watches.
    maxWorkers: '100%',
    // Modules of the open take remember what waits to be sent; each file of theirs begins with new ones. For the
    // others that would take most of the time.
    projects: [
      { extends: true, test: { name: 'take', include: ['src/take/**/*.test.ts'] } },
      {
        extends: true,
        test: {
          name: 'others',
          include: ['src/**/*.test.ts'],
          exclude: ['src/take/**'],
          isolate: false,
        },
      },
    ],
  },
})
