import { fileURLToPath } from 'node:url';
import vue from '@vitejs/plugin-vue';
import * as mdi from '@mdi/js';
import { defineConfig, type Plugin } from 'vite';
import vuetify from 'vite-plugin-vuetify';
import { companyMarks } from './companyMarks.ts';

const here = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

/**
 * Every icon by its name, as a module of its own: importing the package whole would bring all of it into
 * every part that uses an icon.
 */
function iconSet(): Plugin {
  const id = 'virtual:icon-set';
  const nameOf = (key: string): string =>
    key
      .slice('mdi'.length)
      .replaceAll(/([A-Z]|\d+)/g, '-$1')
      .replace(/^-/, '')
      .toLowerCase();
  return {
    name: 'icon-set',
    resolveId: (wanted) => (wanted === id ? `\0${id}` : undefined),
    load(wanted) {
      if (wanted !== `\0${id}`) return undefined;
      const icons = Object.entries(mdi).flatMap(([key, path]) =>
        typeof path === 'string' && !companyMarks.has(nameOf(key)) ? [{ name: nameOf(key), path }] : [],
      );
      return `export default JSON.parse(${JSON.stringify(JSON.stringify(icons))});`;
    },
  };
}

export default defineConfig({
  root: here('.'),
  plugins: [vue(), vuetify({ autoImport: true }), iconSet()],
  // What shapes text waits for its own code while it is loaded: only modules can.
  worker: { format: 'es' },
  build: {
    outDir: here('../../build/web'),
    emptyOutDir: true,
    target: 'es2022',
    rollupOptions: {
      input: {
        editor: here('index.html'),
        live: here('live.html'),
        frame: here('frame.html'),
        sheet: here('sheet.html'),
        contact: here('contact.html'),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:4780' } },
});
