import { defineConfig } from 'vitest/config';

export default defineConfig({
  define: { __VERSION__: '"0.0.0-test"' },
  test: {
    include: [
      'core/**/*.test.ts',
      'cli/**/*.test.ts',
      'samples/**/*.test.ts',
      'server/**/*.test.ts',
      'web/src/**/*.test.{ts,tsx}',
      'scripts/**/*.test.ts',
    ],
    setupFiles: ['web/testSetup.ts'],
    // Nothing else runs beside the unit tests: by default one core of two would stay idle.
    maxWorkers: '100%',
    testTimeout: 180_000,
    coverage: { include: ['core/**/*.{ts,tsx}', 'cli/**/*.ts', 'web/src/**/*.{ts,tsx}'] },
  },
});
