import { fileURLToPath } from 'node:url'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vite'

const root = fileURLToPath(new URL('.', import.meta.url))

export default defineConfig({
  root,
  plugins: [vue()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  // Results that an earlier build worked out are not trusted by a later one.
  define: { __BUILD__: JSON.stringify(new Date().toISOString()) },
  worker: { format: 'es' },
  build: { outDir: 'dist', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
  server: {
    host: '127.0.0.1',
    proxy: Object.fromEntries(['/demo', '/api'].map((path) => [path, 'http://127.0.0.1:4173'])),
  },
})
