import { spawn } from 'node:child_process';
import { once } from 'node:events';
import { mkdirSync } from 'node:fs';
import { dirname } from 'node:path';
import { say, Stop } from './say.mjs';

/** What flock is told to end with where somebody else holds the lock. */
const HELD = 75;

/** Takes a lock by util-linux's flock; null where it is held and was not to be waited for. Closing its input gives it back, as does the end of this process. */
async function take(file, how) {
  const holder = spawn('flock', [...how, file, 'sh', '-c', 'echo taken; exec cat'], {
    stdio: ['pipe', 'pipe', 'inherit'],
    // Ctrl-C reaches only the command itself, which gives the lock back when it is done
    detached: true,
  });
  const [told] = await Promise.race([once(holder.stdout, 'data'), once(holder, 'exit')]).catch((error) => {
    throw new Stop(`flock, of util-linux, could not be started: ${error.message}`);
  });
  if (holder.exitCode === HELD) return null;
  if (typeof told === 'number') throw new Stop(`flock could not lock ${file} (${told}).`);
  return async () => {
    holder.stdin.end();
    await once(holder, 'exit');
  };
}

/**
 * Runs work while holding a lock file, so that two commands preparing the same checkout take turns.
 * @template T
 * @param {string} file
 * @param {() => T | Promise<T>} work
 * @returns {Promise<T>}
 */
export async function withLock(file, work) {
  mkdirSync(dirname(file), { recursive: true });
  let giveBack = await take(file, ['--nonblock', '--conflict-exit-code', String(HELD)]);
  if (!giveBack) {
    say('  waiting for another command to finish preparing…');
    giveBack = await take(file, []);
  }
  try {
    return await work();
  } finally {
    await giveBack();
  }
}
