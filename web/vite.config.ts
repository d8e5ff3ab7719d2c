import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import type { Plugin } from 'vite'
import { defineConfig } from 'vitest/config'

/** Compressed copies beside each script and style, so that the server need not make them for each request. */
const compressed = (): Plugin => ({
  name: 'compressed',
  apply: 'build',
  writeBundle({ dir }) {
    const folder = `${dir}/assets`
    for (const name of readdirSync(folder))
      if (/\.(js|css)$/.test(name)) {
        const plain = readFileSync(`${folder}/${name}`)
        writeFileSync(`${folder}/${name}.gz`, gzipSync(plain, { level: 9 }))
        writeFileSync(`${folder}/${name}.br`, brotliCompressSync(plain))
      }
  },
})

export default defineConfig({
  // Hoisted parts would be set as text with their inline styles, which the policy of the server does not allow.
  plugins: [vue({ template: { compilerOptions: { hoistStatic: false } } }), tailwindcss(), compressed()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'dist', emptyOutDir: true, assetsInlineLimit: 0, chunkSizeWarningLimit: 800 },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
  test: { environment: 'node', include: ['src/**/*.spec.ts'] },
})
