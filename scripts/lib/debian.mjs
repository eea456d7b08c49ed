import { existsSync } from 'node:fs';
import { run, succeeds } from './run.mjs';
import { say, Stop } from './say.mjs';

const isRoot = () => process.getuid?.() === 0;

/** Installs Debian packages as root or through sudo; where neither is possible, stops with the command to run. */
export async function installDebian(packages, what) {
  const command = `apt-get update && apt-get install -y --no-install-recommends ${packages.join(' ')}`;
  const byHand = new Stop(
    `${what} is not installed. As an administrator, run:\n\n  ${command}\n\nand then this command again.`,
  );
  if (!existsSync('/usr/bin/apt-get')) throw byHand;
  const sudo = isRoot() ? [] : succeeds('sudo', ['-n', 'true']) ? ['sudo', '-n'] : null;
  if (!sudo) throw byHand;
  say(`• installing ${what} from Debian…`);
  const [first, ...rest] = [...sudo, 'env', 'DEBIAN_FRONTEND=noninteractive', 'bash', '-c', command];
  await run(first, rest);
}
