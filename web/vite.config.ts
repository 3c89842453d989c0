import react from '@vitejs/plugin-react';
import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vite';

const from = (path: string): string => fileURLToPath(new URL(path, import.meta.url));

export default defineConfig({
  plugins: [react()],
  resolve: {
    alias: [
      { find: /^#core\/(.*)$/, replacement: `${from('../core/src')}/$1/index.ts` },
      { find: /^#contract$/, replacement: from('../contract/src/index.ts') },
      { find: /^#contract\/(.*)$/, replacement: `${from('../contract/src')}/$1.ts` },
    ],
  },
  build: {
    outDir: from('../dist/web'),
    emptyOutDir: true,
    target: 'es2022',
    manifest: true,
    modulePreload: { polyfill: false },
    rolldownOptions: {
      input: { main: from('./index.html'), door: from('./door.html') },
      output: {
        // what a device that was not let in may load lies by itself
        entryFileNames: ({ name }) => (name === 'door' ? 'door/[name]-[hash].js' : 'assets/[name]-[hash].js'),
      },
    },
  },
  server: { proxy: { '/api': 'http://127.0.0.1:5417' } },
});
