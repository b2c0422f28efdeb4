import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readFileSync } from 'node:fs';
import { defineConfig, type Plugin } from 'vite';

const ICONS = ['/favicon.svg', '/icon-192.png', '/icon-512.png', '/manifest.webmanifest'];

/** Writes the service worker with the list of all files of this build. */
const offlinePages: Plugin = {
  name: 'offline-pages',
  apply: 'build',
  generateBundle(_, bundle) {
    const files = [
      '/',
      ...ICONS,
      ...Object.keys(bundle)
        .filter((name) => name.startsWith('assets/'))
        .map((name) => `/${name}`),
    ];
    const source = readFileSync('src/web/service-worker.js', 'utf8');
    const version = createHash('sha256')
      .update(files.join('\n') + source)
      .digest('hex')
      .slice(0, 12);
    const head = `const VERSION = '${version}';\nconst FILES = ${JSON.stringify(files)};\n`;
    this.emitFile({ type: 'asset', fileName: 'sw.js', source: head + source });
  },
};

export default defineConfig({
  root: 'src/web',
  plugins: [react(), offlinePages],
  worker: { format: 'es' },
  build: { outDir: '../../dist', emptyOutDir: true, target: 'es2022', chunkSizeWarningLimit: 900 },
  server: {
    port: 4181,
    proxy: {
      '/api': {
        target: 'http://127.0.0.1:4180',
        changeOrigin: true,
        headers: { origin: 'http://127.0.0.1:4180' },
      },
    },
  },
});
