import { defineConfig } from 'vitest/config';

export default defineConfig({
  define: { __VERSION__: '"0.0.0-test"' },
  test: {
    setupFiles: ['web/testSetup.ts'],
    // Nothing else runs beside the unit tests: by default one core of two would stay idle.
    maxWorkers: '100%',
    testTimeout: 180_000,
    coverage: { include: ['core/**/*.{ts,tsx}', 'cli/**/*.ts', 'web/src/**/*.{ts,tsx}'] },
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['core', 'cli', 'samples', 'server', 'scripts'].map((part) => `${part}/**/*.test.ts`),
          // Between files these keep nothing but caches: what one has loaded serves the next.
          isolate: false,
        },
      },
      { extends: true, test: { name: 'web', include: ['web/src/**/*.test.{ts,tsx}'] } },
    ],
  },
});
