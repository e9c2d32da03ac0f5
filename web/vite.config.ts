import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';
import { compression, defineAlgorithm } from 'vite-plugin-compression2';

/** Packages of few pages, which come with them alone; what is made with the others comes in one file. */
const seldom = ['echarts', 'zrender', 'pdf-lib', '@pdf-lib', 'pako', 'tslib'];

export default defineConfig({
  // compressed once, when it is built: the server sends it as it lies there
  plugins: [
    react(),
    compression({ algorithms: [defineAlgorithm('gzip', { level: 9 })], include: /\.(js|css)$/ }),
  ],
  // the server puts a fresh nonce here with every page
  html: { cspNonce: '__CSP_NONCE__' },
  server: { proxy: { '/api': { target: `http://127.0.0.1:${process.env.ESTRIBO_PORT ?? 8090}` } } },
  build: {
    target: 'es2022',
    chunkSizeWarningLimit: 900,
    assetsInlineLimit: 0,
    rolldownOptions: {
      output: {
        // a page opens with a few files in place of a hundred small ones, each of which is a request of its own
        codeSplitting: {
          includeDependenciesRecursively: false,
          groups: [
            {
              name: 'packages',
              test: new RegExp(`node_modules[\\\\/](?!(?:${seldom.join('|')})[\\\\/])`),
              priority: 2,
            },
            { name: 'core', test: /core[\\/]src[\\/]/, minShareCount: 2, priority: 2 },
            { name: 'shared', test: /web[\\/]src[\\/](?!parts[\\/]chart)/, minShareCount: 2, priority: 1 },
          ],
        },
      },
    },
  },
});
