import { constants } from 'node:zlib';
import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { readTexts } from './read-texts.ts';
import { COLOURS } from './src/shared/ui/tokens.ts';

/** The colours as Sass variables, and as one map of all. */
const tokens = {
  canonicalize: (url: string) => (url === 'tokens' ? new URL('tokens:colours') : null),
  load: () => ({ contents: sassOf(COLOURS), syntax: 'scss' as const }),
};

/** Files as they are sent, so that a class that opens its tablets at once does not wait for the server to compress them. */
const sent = compression({
  include: /\.(js|css|html|svg)$/,
  threshold: 1000,
  algorithms: [
    defineAlgorithm('gzip', { level: 9 }),
    // The highest two qualities take 7 and 15 times as long for a twentieth less.
    defineAlgorithm('brotliCompress', { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }),
  ],
  logLevel: 'silent',
});

function sassOf(colours: Record<string, string>): string {
  const named = Object.entries(colours).map(([name, colour]) => [
    name.replace(/[A-Z]/g, (one) => `-${one.toLowerCase()}`),
    colour,
  ]);
  const map = named.map(([name, colour]) => `'${name}': ${colour}`).join(', ');
  return `${named.map(([name, colour]) => `$${name}: ${colour};`).join('\n')}\n$colours: (${map});`;
}

/** The application on a device without a network. */
const worker = VitePWA({
  registerType: 'autoUpdate',
  injectRegister: null,
  manifest: {
    name: 'Bright Sprout',
    short_name: 'Bright Sprout',
    description: 'Plan, record and compare plant growth experiments with a class.',
    theme_color: '#f5efe3',
    background_color: '#f5efe3',
    display: 'standalone',
    start_url: '/',
    icons: [{ src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' }],
  },
  workbox: {
    clientsClaim: true,
    skipWaiting: true,
    globPatterns: ['**/*.{js,css,html,svg,woff2}'],
    maximumFileSizeToCacheInBytes: 6_000_000,
    navigateFallback: '/index.html',
    navigateFallbackDenylist: [/^\/api\//],
  },
});

export default defineConfig(({ mode }) => ({
  root: import.meta.dirname,
  plugins: [readTexts(mode === 'made-up'), react(), ...(mode === 'made-up' ? [] : [worker, sent])],
  resolve: {
    conditions: ['brightsprout-src', 'module', 'browser', 'production'],
    alias: {
      '@formatjs/icu-messageformat-parser': '@formatjs/icu-messageformat-parser/no-parser.js',
    },
  },
  css: {
    preprocessorOptions: {
      scss: {
        importers: [tokens],
        quietDeps: true,
        silenceDeprecations: ['import', 'global-builtin', 'color-functions', 'if-function'],
      },
    },
  },
  build: {
    outDir: mode === 'made-up' ? '../.build/made-up' : 'dist',
    emptyOutDir: true,
    // A test of texts looks at it, and nothing else.
    minify: mode !== 'made-up',
    reportCompressedSize: false,
    target: 'es2022',
    chunkSizeWarningLimit: 2000,
    // How long plugins took is no news to who starts the application on a slow machine.
    rolldownOptions: { checks: { pluginTimings: false } },
  },
}));
