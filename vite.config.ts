import react from '@vitejs/plugin-react';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig, type Plugin } from 'vite';

const ICONS = ['/favicon.svg', '/icon-192.png', '/icon-512.png', '/manifest.webmanifest'];

/** Writes the service worker with the list of all files of this build, once they are there. */
const offlinePages: Plugin = {
  name: 'offline-pages',
  apply: 'build',
  writeBundle({ dir = '' }) {
    const assets = readdirSync(join(dir, 'assets')).map((name) => `/assets/${name}`);
    const files = ['/', ...ICONS, ...assets.sort()];
    const source = readFileSync('src/web/service-worker.js', 'utf8');
    const version = createHash('sha256')
      .update(files.join('\n') + source)
      .digest('hex')
      .slice(0, 12);
    const head = `const VERSION = '${version}';\nconst FILES = ${JSON.stringify(files)};\n`;
    writeFileSync(join(dir, 'sw.js'), head + source);
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
