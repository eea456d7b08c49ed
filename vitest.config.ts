import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // modules keep nothing by which one test could disturb another: each worker loads them once
    isolate: false,
    reporters: process.env.TEST_REPORT ? ['default', ['json', { outputFile: process.env.TEST_REPORT }]] : ['default'],
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['{src,data,cli,scripts}/**/*.test.{ts,tsx}'],
          maxWorkers: 3,
          setupFiles: ['src/core/testing/seed.ts'],
        },
      },
      // real browsers and servers mostly wait: the core's tests fill the time
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['e2e/**/*.test.ts'],
          maxWorkers: 3,
        },
      },
    ],
  },
});
