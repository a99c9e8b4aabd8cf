import { readFileSync } from 'node:fs';
import tailwindcss from '@tailwindcss/vite';
import react from '@vitejs/plugin-react';
import { defineConfig, type Plugin } from 'vite';
import { compression } from 'vite-plugin-compression2';
import { VitePWA } from 'vite-plugin-pwa';
import { policyLine } from '../server/policy.ts';

const { version } = JSON.parse(readFileSync(new URL('../package.json', import.meta.url), 'utf8')) as {
  version: string;
};
/** The path the folder is served under: `BASE=/ample/` for a place of its own on a larger site. */
const base = `/${(process.env['BASE'] ?? '').replace(/^\/+|\/+$/g, '')}/`.replace('//', '/');

/** The page carries the content policy itself: a plain static server sends no header. */
const policyInPage = (): Plugin => ({
  name: 'policy-in-page',
  transformIndexHtml: (_html, { server }) =>
    server
      ? // The development server answers every path with the page.
        [{ tag: 'meta', attrs: { name: 'paths', content: 'answered' } }]
      : [
          {
            tag: 'meta',
            attrs: { 'http-equiv': 'Content-Security-Policy', content: policyLine() },
            injectTo: 'head-prepend',
          },
        ],
});

export default defineConfig({
  base,
  define: { __VERSION__: JSON.stringify(version) },
  plugins: [
    react(),
    tailwindcss(),
    policyInPage(),
    // The densest a browser can read, made once here: compressing at every request would have to be quick instead.
    compression({ algorithms: ['brotliCompress', 'gzip'], include: /\.(js|css|svg)$/ }),
    VitePWA({
      strategies: 'injectManifest',
      srcDir: 'src/offline',
      filename: 'sw.ts',
      registerType: 'prompt',
      injectRegister: false,
      manifest: {
        id: base,
        name: 'Ample Draft',
        short_name: 'Ample Draft',
        description: 'Alter a sewing pattern to the body it is for.',
        start_url: base,
        scope: base,
        display: 'standalone',
        background_color: '#f7f6f1',
        theme_color: '#12443f',
        icons: [
          { src: 'icon-192.png', sizes: '192x192', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png' },
          { src: 'icon-512.png', sizes: '512x512', type: 'image/png', purpose: 'maskable' },
          { src: 'icon.svg', sizes: 'any', type: 'image/svg+xml' },
        ],
        // A file of ours opens in the installed app by a double press.
        file_handlers: [{ action: base, accept: { 'application/x-ample-draft': ['.ample'] } }],
      },
      includeManifestIcons: false,
      injectManifest: {
        globPatterns: ['**/*.{js,css,html,svg,png,woff,woff2}'],
        maximumFileSizeToCacheInBytes: 4 * 2 ** 20,
      },
    }),
  ],
  worker: { format: 'es' },
  // Every browser that runs this target preloads modules by itself.
  build: { target: 'es2023', chunkSizeWarningLimit: 900, modulePreload: { polyfill: false } },
  server: { port: 5173, strictPort: true },
});
