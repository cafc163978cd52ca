import react from '@vitejs/plugin-react';
import { defineConfig } from 'vite';

export default defineConfig({
  plugins: [react()],
  // The server puts a fresh nonce in place of this on every page.
  html: { cspNonce: '__NONCE__' },
  define: { __PROGRAM__: JSON.stringify(new Date().toISOString()) },
  worker: { format: 'es' },
  // One style sheet, before what the components bring along: a rule that comes with a later page would win over theirs.
  build: { chunkSizeWarningLimit: 1500, modulePreload: { polyfill: false }, cssCodeSplit: false },
  server: { proxy: { '/api': 'http://127.0.0.1:4173' } },
});
