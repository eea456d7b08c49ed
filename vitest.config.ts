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
          include: ['{src,data,cli,scripts}/**/*.test.ts'],
          maxWorkers: 2,
          setupFiles: ['src/core/testing/seed.ts'],
          sequence: { groupOrder: 1 },
        },
      },
      // real browsers and servers, two files at a time: they mostly wait
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['e2e/**/*.test.ts'],
          maxWorkers: 2,
          sequence: { groupOrder: 2 },
        },
      },
    ],
  },
});
