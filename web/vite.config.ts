import { parse } from '@formatjs/icu-messageformat-parser';
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

/** Messages with values are read when the front end is built: no page carries their parser. */
function messages(): Plugin {
  return {
    name: 'messages',
    enforce: 'pre',
    transform: (code, id) => {
      if (!/\/text\/en-[A-Z]{2}(\/[a-z-]+)?\.json$/.test(id)) return undefined;
      const read = ([key, message]: [string, string]) => [key, /[{}'<#]/.test(message) ? parse(message) : message];
      return JSON.stringify(Object.fromEntries(Object.entries(JSON.parse(code) as Record<string, string>).map(read)));
    },
  };
}

export default defineConfig({
  plugins: [messages(), react(), pictures()],
  resolve: {
    alias: [
      {
        find: /^@formatjs\/icu-messageformat-parser$/,
        replacement: '@formatjs/icu-messageformat-parser/lib/no-parser.js',
      },
    ],
  },
  build: { outDir, emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
  test: { environment: 'happy-dom', setupFiles: ['src/text/all.ts'], include: ['src/**/*.test.{ts,tsx}'] },
});
