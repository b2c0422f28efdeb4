import { extractStyle } from '@ant-design/static-style-extract';
import react from '@vitejs/plugin-react';
import { ConfigProvider } from 'antd';
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { createElement, type ReactNode } from 'react';
import { defineConfig, type Plugin } from 'vite';
import { antdTheme } from './src/web/theme/antd-theme.ts';

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

const CONTROLS_CSS = 'virtual:controls.css';
const RESOLVED_CONTROLS_CSS = `\0${CONTROLS_CSS}`;

/** Names of the library's controls that the pages import. */
function importedControls(): string[] {
  const files = readdirSync('src/web', { recursive: true, encoding: 'utf8' }).filter((file) =>
    file.endsWith('.tsx'),
  );
  const names = files.flatMap((file) =>
    [...readFileSync(join('src/web', file), 'utf8').matchAll(/import \{([^}]*)\} from 'antd'/g)].flatMap(
      ([, list = '']) => list.split(',').map((name) => name.trim()),
    ),
  );
  return [...new Set(names)].filter((name) => /^[A-Z]/.test(name));
}

/** Writes the style of the controls once, while building: to work it out took the browser half the start of a page. */
const controlsStyle: Plugin = {
  name: 'controls-style',
  resolveId: (id) => (id === CONTROLS_CSS ? RESOLVED_CONTROLS_CSS : null),
  load: (id) =>
    id === RESOLVED_CONTROLS_CSS
      ? extractStyle({
          includes: [...importedControls(), 'message', 'notification'],
          // Its types ask for a name that React's own no longer have.
          customTheme: (node) =>
            createElement(ConfigProvider, { theme: { ...antdTheme, zeroRuntime: false } }, node as ReactNode),
        })
      : null,
};

/** What every page needs comes in one file. */
const FIRST_FILE = { name: 'first', tags: ['$initial' as const] };

/**
 * Code that several pages need. Each file holds what the same pages share; small files are merged. Without this a bed's page
 * loads 109 files, most of them under 3 kB; with it 34 files, which hold 2 % more bytes.
 */
const SHARED_FILES = {
  name: 'shared',
  minShareCount: 2,
  entriesAware: true,
  entriesAwareMergeThreshold: 25_000,
};

/** A shared file would otherwise be named after every page that loads it. */
const pathOf = (name: string): string => `assets/${name.includes('~') ? SHARED_FILES.name : '[name]'}-[hash]`;

const OWN_PURE_CODE = /\/src\/(core|records|refusals|contract|words)\//;

/** The day of the model. Where it is, the model runs. */
const THE_MODEL_RUNS = '/src/core/model/simulation/step-day.ts';

/** Fails the build when the simulation would run where pages are drawn: workers are built apart from these chunks. */
const simulationInWorkersOnly: Plugin = {
  name: 'simulation-in-workers-only',
  apply: 'build',
  generateBundle(_options, bundle) {
    for (const chunk of Object.values(bundle)) {
      if (chunk.type !== 'chunk') continue;
      const holds = Object.entries(chunk.modules).some(
        ([id, { renderedLength }]) => id.endsWith(THE_MODEL_RUNS) && renderedLength > 0,
      );
      if (holds) this.error(`${chunk.fileName} holds the simulation; only workers may run it`);
    }
  },
};

export default defineConfig({
  root: 'src/web',
  plugins: [react(), controlsStyle, offlinePages, simulationInWorkersOnly],
  worker: { format: 'es' },
  build: {
    outDir: '../../dist',
    emptyOutDir: true,
    target: 'es2022',
    chunkSizeWarningLimit: 1000,
    rolldownOptions: {
      // Wings of the core are asked by their index: what is not asked for is left out, whatever it sets up for itself.
      treeshake: { moduleSideEffects: (id) => !OWN_PURE_CODE.test(id) },
      output: {
        codeSplitting: { groups: [FIRST_FILE, SHARED_FILES] },
        chunkFileNames: ({ name }) => `${pathOf(name)}.js`,
        assetFileNames: ({ names: [name = ''] }) => `${pathOf(name)}[extname]`,
      },
    },
  },
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
