import react from '@vitejs/plugin-react';
import tailwindcss from '@tailwindcss/vite';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react(), tailwindcss()],
  build: { outDir: '../public/app', emptyOutDir: true, assetsInlineLimit: 0, manifest: true },
  server: { proxy: { '/api': 'http://127.0.0.1:8420' } },
});
