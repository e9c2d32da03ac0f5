import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  // the server puts a fresh nonce here with every page
  html: { cspNonce: '__CSP_NONCE__' },
  server: { proxy: { '/api': { target: `http://127.0.0.1:${process.env.ESTRIBO_PORT ?? 8090}` } } },
  build: { target: 'es2022', chunkSizeWarningLimit: 700, assetsInlineLimit: 0 },
});
