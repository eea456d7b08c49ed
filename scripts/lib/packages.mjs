import { execFile } from 'node:child_process';
import { createHash } from 'node:crypto';
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { promisify } from 'node:util';
import { root } from './paths.mjs';
import { say, Stop } from './say.mjs';

const LEAST = [20, 10];

/** Refuses to go on with a Node that is too old. */
export function checkNode() {
  const [major = 0, minor = 0] = process.versions.node.split('.').map(Number);
  if (major > LEAST[0] || (major === LEAST[0] && minor >= LEAST[1])) return;
  throw new Stop(
    `Node ${process.versions.node} is too old. Install Node ${LEAST.join('.')} or newer and run this again.`,
  );
}

/** Installs the npm packages when the lock file is not the one they were installed from. */
export async function ensurePackages() {
  const wanted = createHash('sha256')
    .update(readFileSync(join(root, 'package-lock.json')))
    .digest('hex');
  const stamp = join(root, 'node_modules', '.installed-from');
  if (existsSync(stamp) && readFileSync(stamp, 'utf8') === wanted) return;
  say('• installing packages (npm ci)…');
  await promisify(execFile)('npm', ['ci', '--no-audit', '--no-fund', '--loglevel=error'], { cwd: root }).catch(
    (error) => {
      throw new Stop(`The packages could not be installed:\n${error.message.trim().split('\n').slice(-25).join('\n')}`);
    },
  );
  writeFileSync(stamp, wanted);
}
