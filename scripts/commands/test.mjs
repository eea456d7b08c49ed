// npm test: prepares as npm start does, on a database of its own, then runs unit and browser tests. Arguments go to the test runner.
import { join } from 'node:path';
import { execa } from 'execa';
import { ensureChromium } from '../lib/chromium.mjs';
import { dataFolder, root } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare.mjs';
import { say } from '../lib/say.mjs';
import { serve } from '../lib/serve.mjs';

export default async function (stops) {
  await ensureChromium();
  const { url, ownerUrl, entry } = await prepare({ cluster: 'test', database: 'scabbard_test', stops });
  const log = join(dataFolder, 'test', 'log', 'server.log');
  const server = await serve(entry, { databaseUrl: url, port: await nextFree(4600), log });
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
      env: { SCABBARD_ADDRESS: server.address, SCABBARD_OWNER_URL: ownerUrl, SCABBARD_LOG: log, DATABASE_URL: '' },
    },
  );
  stops.push(async () => void vitest.kill());
  process.exitCode = (await vitest).exitCode ?? 1;
}
