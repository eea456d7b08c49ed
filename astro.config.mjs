import node from '@astrojs/node';
import react from '@astrojs/react';
import pwa from '@vite-pwa/astro';
import { defineConfig, passthroughImageService } from 'astro/config';
import { bareConstants } from './scripts/lib/bare-constants.mjs';
import { checkedData } from './scripts/lib/checked-data.mjs';

/** Takes Astro's image endpoint out of the build: images are served as they are, and nobody may have one made anew. */
const withoutImageEndpoint = {
  name: 'without-image-endpoint',
  hooks: {
    'astro:build:ssr': ({ manifest }) => {
      manifest.routes = manifest.routes.filter(({ routeData }) => routeData.route !== '/_image');
    },
  },
};

export default defineConfig({
  output: 'server',
  // scripts/server serves files, sets the headers and writes each page in one piece
  adapter: node({ mode: 'middleware', experimentalDisableStreaming: true }),
  integrations: [
    react(),
    withoutImageEndpoint,
    pwa({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'serviceWorker.ts',
      injectRegister: false,
      registerType: 'prompt',
      manifest: {
        id: '/',
        name: 'Scabbard: your knife kit',
        short_name: 'Scabbard',
        description: 'Which few knives your cooking needs, in which order, and for how much.',
        start_url: '/',
        display: 'standalone',
        background_color: '#f3f4ee',
        theme_color: '#22384d',
        icons: [
          { src: '/icon-192.png', sizes: '192x192', type: 'image/png', purpose: 'any maskable' },
          { src: '/icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'any maskable' },
          { src: '/favicon.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
      },
      injectManifest: {
        globPatterns: ['**/*.{js,css,json,woff2,svg}'],
        // read when a spreadsheet or a recipe comes in: fetched then
        globIgnores: ['assets/{sheet,recipe}.worker-*.js'],
        maximumFileSizeToCacheInBytes: 2_000_000,
      },
    }),
  ],
  image: { service: passthroughImageService() },
  devToolbar: { enabled: false },
  // writes are checked against the Origin header in the middleware, for every content type
  security: { checkOrigin: false },
  build: { inlineStylesheets: 'never', assets: 'assets' },
  vite: {
    build: { minify: 'terser', assetsInlineLimit: 0, chunkSizeWarningLimit: 1200, cssCodeSplit: false },
    plugins: [checkedData()],
    // the parts used of large libraries are bundled: a server that starts would read all of them
    ssr: {
      noExternal: [
        /^@mantine\//,
        /^@tabler\//,
        /^@dnd-kit\//,
        /^@tanstack\//,
        /^date-fns/,
        /^drizzle-orm/,
        /^zod/,
        'react-chartjs-2',
      ],
    },
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
