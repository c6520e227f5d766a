/// <reference types="vitest/config" />
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

export default defineConfig({
  plugins: [
    react(),
    // The page opens without the server; what it shows then is what it read last.
    VitePWA({
      registerType: 'autoUpdate',
      injectRegister: 'script-defer',
      manifest: {
        name: 'Lynchet',
        short_name: 'Lynchet',
        start_url: '/',
        display: 'standalone',
        background_color: '#F7F4EC',
        theme_color: '#F7F4EC',
        icons: [{ src: '/lynchet.svg', sizes: 'any', type: 'image/svg+xml' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//, /^\/actuator\//, /^\/v3\//],
        cleanupOutdatedCaches: true,
      },
    }),
  ],
  build: {
    outDir: 'dist',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    // The first view in a handful of files: what every screen stands on, and the libraries, which change seldom.
    rolldownOptions: {
      output: {
        codeSplitting: {
          groups: [
            {
              name: 'react',
              test: /node_modules[\\/](react|react-dom|scheduler|react-router|@tanstack|idb)[\\/]/,
            },
            { name: 'parts', test: /node_modules[\\/]/, minShareCount: 14 },
            { name: 'parts', test: /@mantine[\\/].*(PasswordInput|ActionIcon|use-resize-observer)/ },
            { name: 'frame', test: /src[\\/](api|ui|frame|record|session)[\\/]/, minShareCount: 2 },
          ],
        },
      },
    },
  },
  test: { setupFiles: ['src/testing/patience.ts'] },
  server: { proxy: { '/api': 'http://127.0.0.1:8123' } },
});
