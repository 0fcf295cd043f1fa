import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

const NAME = 'Jolly Rail';

export default defineConfig({
  root: 'web',
  plugins: [
    react(),
    // The application starts from the device, also without network; what the server has is kept by app/keptQueries.ts.
    VitePWA({
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        name: NAME,
        short_name: NAME,
        description: 'Drills for pool and snooker: set them, score them, see progress.',
        start_url: '/',
        display: 'standalone',
        background_color: '#F5F1E8',
        theme_color: '#E6CFA3',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: '/icon-maskable-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
        ],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff2}'],
        maximumFileSizeToCacheInBytes: 4_000_000,
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
      },
    }),
  ],
  build: { outDir: '../dist/web', emptyOutDir: true, target: 'es2022' },
  worker: { format: 'es' },
});
