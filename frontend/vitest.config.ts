import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

/** What has no screen: documents, stores, layout. The interface itself is driven by tests/browser. */
export default defineConfig({
  // The help is made of docs/.
  server: { fs: { allow: ['..'] } },
  plugins: [vue()],
  resolve: { alias: { '@': new URL('./src', import.meta.url).pathname } },
  test: {
    include: ['src/**/*.test.ts'],
    environment: 'happy-dom',
    environmentOptions: { happyDOM: { url: 'http://tonada.test/' } },
    setupFiles: ['src/testing/server.ts'],
    unstubGlobals: true,
    // A window for each file is quickly made in a thread: a process for each takes longer.
    pool: 'threads',
  },
})
