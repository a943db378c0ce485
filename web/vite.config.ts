import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';

import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig, type Plugin } from 'vite';
import { VitePWA } from 'vite-plugin-pwa';

/** Scripts and styles are packed once, as small as they get, and handed out as they lie. */
function packed(): Plugin {
  return {
    name: 'packed',
    apply: 'build',
    writeBundle({ dir = '' }) {
      const folder = join(dir, 'assets');
      for (const name of readdirSync(folder).filter((file) => /\.(js|css)$/.test(file))) {
        const file = join(folder, name);
        const content = readFileSync(file);
        writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
        writeFileSync(
          `${file}.br`,
          brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: constants.BROTLI_MAX_QUALITY } }),
        );
      }
    },
  };
}

export default defineConfig({
  plugins: [
    react(),
    tailwindcss(),
    packed(),
    VitePWA({
      // Registered by the application itself: the policy allows no script in the page.
      injectRegister: null,
      registerType: 'autoUpdate',
      manifest: {
        name: 'Lustrum',
        short_name: 'Lustrum',
        description: 'Builds, trials and what they show',
        start_url: '/field',
        display: 'standalone',
        background_color: '#f4efe4',
        theme_color: '#f4efe4',
        icons: [{ src: '/mark.svg', sizes: 'any', type: 'image/svg+xml', purpose: 'any' }],
      },
      workbox: {
        globPatterns: ['**/*.{js,css,html,svg,woff2}'],
        // Drawings of solids are looked at at a desk.
        globIgnores: ['**/three*', '**/Solid*'],
        navigateFallback: '/index.html',
        navigateFallbackDenylist: [/^\/api\//],
        cleanupOutdatedCaches: true,
        sourcemap: false,
      },
    }),
  ],
  build: {
    outDir: '../public/app',
    emptyOutDir: true,
    assetsInlineLimit: 0,
    manifest: true,
    // Browsers that do not know how load each part as it is named: later, and no less.
    modulePreload: { polyfill: false },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
});
