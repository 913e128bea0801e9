import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    environment: 'node',
    setupFiles: ['tests/setup/seed.ts'],
    // For what hangs, not for what is slow.
    testTimeout: 900_000,
    hookTimeout: 900_000,
    projects: [
      {
        extends: true,
        test: {
          name: 'unit',
          include: ['src/**/*.test.ts', 'src/**/*.test.tsx', 'tests/{references,structure}/**/*.test.ts'],
          // They keep nothing and share what they import; no core stands idle.
          pool: 'threads',
          isolate: false,
          maxWorkers: '100%',
        },
      },
      {
        extends: true,
        test: {
          name: 'integration',
          include: ['tests/integration/**/*.test.ts'],
          // They share one database, and what they import.
          fileParallelism: false,
          isolate: false,
        },
      },
    ],
  },
});
