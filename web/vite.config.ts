import { fileURLToPath } from 'node:url'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { defineConfig } from 'vitest/config'

export default defineConfig({
  // Hoisted parts would be set as text with their inline styles, which the policy of the server does not allow.
  plugins: [vue({ template: { compilerOptions: { hoistStatic: false } } }), tailwindcss()],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'dist', emptyOutDir: true, assetsInlineLimit: 0, chunkSizeWarningLimit: 800 },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
  test: { environment: 'node', include: ['src/**/*.spec.ts'] },
})
