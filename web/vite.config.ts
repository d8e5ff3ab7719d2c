import { readdirSync, readFileSync, writeFileSync } from 'node:fs'
import { fileURLToPath } from 'node:url'
import { brotliCompressSync, gzipSync } from 'node:zlib'
import tailwindcss from '@tailwindcss/vite'
import vue from '@vitejs/plugin-vue'
import { VitePWA } from 'vite-plugin-pwa'
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

/**
 * The page begins without signal once it was here: its files lie on the device, as they were built together; a new
 * version waits until the person takes it. Small photographs are shown from where they were seen before.
 */
const withoutSignal = VitePWA({
  registerType: 'prompt',
  injectRegister: null,
  manifest: {
    name: 'Grittle',
    short_name: 'Grittle',
    description: 'Soil texture by hand: measured, reckoned, kept.',
    start_url: '/',
    display: 'standalone',
    background_color: '#f4f1e8',
    theme_color: '#f4f1e8',
    icons: [192, 512].flatMap((size) =>
      ['any', 'maskable'].map((purpose) => ({
        src: `/icon-${size}.png`,
        sizes: `${size}x${size}`,
        type: 'image/png',
        purpose,
      })),
    ),
  },
  workbox: {
    globPatterns: ['**/*.{js,css,html,woff2,svg,png}'],
    globIgnores: ['**/*.map'],
    maximumFileSizeToCacheInBytes: 4 * 1024 * 1024,
    navigateFallback: null,
    cleanupOutdatedCaches: true,
    sourcemap: false,
    runtimeCaching: [
      {
        urlPattern: ({ request, url }) => request.mode === 'navigate' && !url.pathname.startsWith('/api'),
        handler: 'NetworkOnly',
        options: { precacheFallback: { fallbackURL: '/index.html' } },
      },
      {
        urlPattern: ({ url }) => /\/api\/photos\/\d+\/thumb$/.test(url.pathname),
        handler: 'CacheFirst',
        options: { cacheName: 'photographs', expiration: { maxEntries: 1000 } },
      },
    ],
  },
})

// The browser asks for the manifest and its icons as soon as it is named: the page names it after its first view.
const manifestLater: Plugin = {
  name: 'manifest-later',
  enforce: 'post',
  transformIndexHtml: { order: 'post', handler: (html) => html.replace(/<link rel="manifest"[^>]*>/, '') },
}

export default defineConfig({
  // Hoisted parts would be set as text with their inline styles, which the policy of the server does not allow.
  plugins: [
    vue({ template: { compilerOptions: { hoistStatic: false } } }),
    tailwindcss(),
    withoutSignal,
    manifestLater,
    compressed(),
  ],
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  build: { outDir: 'dist', emptyOutDir: true, assetsInlineLimit: 0, chunkSizeWarningLimit: 800 },
  worker: { format: 'es' },
  server: { proxy: { '/api': 'http://127.0.0.1:4600' } },
  test: { environment: 'node', include: ['src/**/*.spec.ts'] },
})
