import react from '@vitejs/plugin-react';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  plugins: [react()],
  root: '.',
  publicDir: false,
  base: '/build/',
  css: {
    preprocessorOptions: {
      scss: { quietDeps: true, silenceDeprecations: ['import', 'color-functions', 'global-builtin', 'if-function'] },
    },
  },
  build: {
    outDir: 'public/build',
    manifest: 'manifest.json',
    assetsInlineLimit: 0,
    rollupOptions: { input: 'web/src/main.tsx' },
  },
  test: { environment: 'happy-dom', setupFiles: ['web/src/test-setup.ts'], include: ['web/src/**/*.test.{ts,tsx}'] },
});
