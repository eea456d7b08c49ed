import { defineConfig } from 'vitest/config';

export default defineConfig({
  test: {
    include: ['{src,data,cli,scripts,e2e}/**/*.test.ts'],
    // one file at a time: the browser tests measure, and the machine has two cores
    fileParallelism: false,
    testTimeout: 120_000,
    // commands run two at a time
    maxConcurrency: 2,
    hookTimeout: 120_000,
    reporters: process.env.TEST_REPORT ? ['default', ['json', { outputFile: process.env.TEST_REPORT }]] : ['default'],
  },
});
