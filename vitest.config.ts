import { defineConfig } from 'vitest/config';
import { BaseSequencer, type TestSpecification } from 'vitest/node';

/** What takes longest, longest first: begun last it would be waited for alone. The rest go by their size. */
const SLOW = [
  'e2e/sound',
  'e2e/start',
  'e2e/looks',
  'data/firstAnswer',
  'search/exact',
  'e2e/stock',
  'cli/cli',
  'e2e/plan.',
  'brief/brief',
  'e2e/trying',
];

/** Test files at once, of the core and of the browser together: what waits for a browser leaves time for another. */
const AT_ONCE = 3;

class SlowFirst extends BaseSequencer {
  override async sort(files: TestSpecification[]): Promise<TestSpecification[]> {
    const rank = ({ moduleId }: TestSpecification) => {
      const at = SLOW.findIndex((part) => moduleId.includes(part));
      return at < 0 ? SLOW.length : at;
    };
    return (await super.sort(files)).sort((a, b) => rank(a) - rank(b));
  }
}

export default defineConfig({
  test: {
    testTimeout: 120_000,
    hookTimeout: 120_000,
    // modules keep nothing by which one test could disturb another: each worker loads them once
    isolate: false,
    sequence: { sequencer: SlowFirst },
    reporters: process.env.TEST_REPORT ? ['default', ['json', { outputFile: process.env.TEST_REPORT }]] : ['default'],
    projects: [
      {
        extends: true,
        test: {
          name: 'core',
          include: ['{src,data,cli,scripts}/**/*.test.{ts,tsx}'],
          maxWorkers: AT_ONCE,
          setupFiles: ['src/core/testing/seed.ts'],
        },
      },
      // real browsers and servers mostly wait: the core's tests fill the time
      {
        extends: true,
        test: {
          name: 'browser',
          include: ['e2e/**/*.test.ts'],
          maxWorkers: AT_ONCE,
        },
      },
    ],
  },
});
