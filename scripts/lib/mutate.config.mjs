// The tests of the core with one change in it: see scripts/mutate.mjs.
import { defineConfig } from 'vitest/config';
import { mutantOf } from './mutant.mjs';
import { root } from './paths.mjs';

export default defineConfig({
  root,
  plugins: process.env.MUTANT ? [mutantOf(JSON.parse(process.env.MUTANT)).forVite] : [],
  test: { include: ['src/core/**/*.test.ts'], testTimeout: 120_000, maxWorkers: 1, reporters: ['dot'] },
});
