import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx', 'tests/{references,integration,structure}/**/*.test.ts'],
    environment: 'node',
    setupFiles: ['tests/setup/seed.ts'],
    // Integration tests share one database.
    fileParallelism: true,
    // For what hangs, not for what is slow.
    testTimeout: 180_000,
    hookTimeout: 180_000,
  },
});
