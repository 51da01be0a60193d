import react from '@vitejs/plugin-react';
import { cpSync } from 'node:fs';
import { join } from 'node:path';
import { defineConfig, type Plugin } from 'vitest/config';

const outDir = '../src/BoldLadder.Web/wwwroot';

/** The pictures stand in data/pictures, beside what says where they come from; the app serves them as they are. */
function pictures(): Plugin {
  const from = join(import.meta.dirname, '../data/pictures');
  return {
    name: 'pictures',
    apply: 'build',
    closeBundle: () =>
      cpSync(from, join(import.meta.dirname, outDir, 'pictures'), {
        recursive: true,
        filter: (file) => file === from || file.endsWith('.svg'),
      }),
  };
}

export default defineConfig({
  plugins: [react(), pictures()],
  build: { outDir, emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
  test: { environment: 'happy-dom', setupFiles: ['src/text/all.ts'], include: ['src/**/*.test.{ts,tsx}'] },
});
