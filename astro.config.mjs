import node from '@astrojs/node';
import react from '@astrojs/react';
import { defineConfig } from 'astro/config';
import { bareConstants } from './scripts/lib/bare-constants.mjs';
import { checkedData } from './scripts/lib/checked-data.mjs';

export default defineConfig({
  output: 'server',
  // scripts/lib/server-process.mjs serves files and puts the headers on
  adapter: node({ mode: 'middleware' }),
  integrations: [react()],
  devToolbar: { enabled: false },
  // writes are checked against the Origin header in the middleware, for every content type
  security: { checkOrigin: false },
  build: { inlineStylesheets: 'never', assets: 'assets' },
  vite: {
    build: { assetsInlineLimit: 0, chunkSizeWarningLimit: 1200, cssCodeSplit: false },
    plugins: [checkedData()],
    worker: { format: 'es', plugins: () => [bareConstants, checkedData({ fetched: true })] },
  },
  experimental: {
    csp: {
      directives: [
        "default-src 'self'",
        "img-src 'self' data:",
        "font-src 'self'",
        "connect-src 'self'",
        "worker-src 'self'",
        "object-src 'none'",
        "base-uri 'none'",
        "form-action 'self'",
        "frame-ancestors 'none'",
      ],
    },
  },
});
