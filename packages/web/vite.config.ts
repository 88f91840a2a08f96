import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import { defineConfig } from 'vite';
import vuetify from 'vite-plugin-vuetify';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  root: here('.'),
  plugins: [vue(), vuetify({ autoImport: true })],
  build: {
    outDir: here('../../build/web'),
    emptyOutDir: true,
    target: 'es2022',
    rollupOptions: { input: { editor: here('index.html'), live: here('live.html') } },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});
