import { fileURLToPath, URL } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'
import vuetify from 'vite-plugin-vuetify'
import { guide } from './guide.mjs'
import { typefaceNotices } from './notices.mjs'
import manifest from './package.json' with { type: 'json' }

export default defineConfig({
  plugins: [vue(), vuetify({ autoImport: true }), guide(), typefaceNotices()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  define: { __VERSION__: JSON.stringify(manifest.version) },
  // Straight into what the jar is made of, where nothing of an earlier build stays.
  build: {
    outDir: 'target/classes/static',
    emptyOutDir: true,
    chunkSizeWarningLimit: 900,
    license: { fileName: 'notices/interface.txt' },
  },
  // The guide lies beside the interface, among the documents.
  server: { proxy: { '/api': 'http://127.0.0.1:9410' }, fs: { allow: ['..'] } },
})
