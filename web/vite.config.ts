import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  build: { outDir: '../src/BoldLadder.Web/wwwroot', emptyOutDir: true, assetsInlineLimit: 0 },
  server: { proxy: { '/api': 'http://127.0.0.1:5080' } },
  test: { environment: 'happy-dom', include: ['src/**/*.test.{ts,tsx}'] },
});
