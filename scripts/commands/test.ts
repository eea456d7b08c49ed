// npm test: prepares as npm start does, on a database of its own, then runs unit and browser tests. Arguments go to the test runner.
import { join } from 'node:path';
import { execa } from 'execa';
import { ensureChromium } from '../lib/chromium.mjs';
import { dataFolder, root } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare';
import { say } from '../lib/say.mjs';
import type { Stops } from '../lib/stops.mjs';
import { serve } from '../server/supervise';

export default async function test(stops: Stops): Promise<void> {
  await ensureChromium();
  const { url, ownerUrl, entry } = await prepare({ cluster: 'test', database: 'scabbard_test', stops });
  const log = join(dataFolder, 'test', 'log', 'server.log');
  // the tests are one client that asks hundreds of things at once: what is refused beyond that is tested on servers of its own
  const env = { MAX_WORKING: '400' };
  const server = await serve(entry, { databaseUrl: url, port: await nextFree(4600), log, env });
  stops.push(server.stop);
  say('• running the tests…');
  const vitest = execa(
    process.execPath,
    [join(root, 'node_modules', 'vitest', 'vitest.mjs'), 'run', ...process.argv.slice(2)],
    {
      cwd: root,
      stdin: 'ignore',
      stdout: 'inherit',
      stderr: 'inherit',
      reject: false,
      env: {
        SCABBARD_ADDRESS: server.address,
        SCABBARD_ENTRY: entry,
        SCABBARD_OWNER_URL: ownerUrl,
        SCABBARD_LOG: log,
        DATABASE_URL: '',
      },
    },
  );
  stops.push(() => Promise.resolve(void vitest.kill()));
  process.exitCode = (await vitest).exitCode ?? 1;
}
