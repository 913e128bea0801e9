import { fileURLToPath } from 'node:url';
import { defineConfig } from 'vitest/config';

export default defineConfig({
  resolve: { alias: { '@': fileURLToPath(new URL('./src', import.meta.url)) } },
  test: {
    include: ['src/**/*.test.ts', 'src/**/*.test.tsx', 'tests/{references,integration,structure}/**/*.test.ts'],
    environment: 'node',
    // Integration tests share one database.
    fileParallelism: true,
    testTimeout: 20_000,
  },
});
