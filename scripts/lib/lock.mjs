import { linkSync, mkdirSync, readFileSync, renameSync, rmSync, statSync, utimesSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { isAlive, pause } from './run.mjs';
import { say } from './say.mjs';

/** The holder touches its lock this often; one left untouched for so long is held by nobody, ms. */
const TOUCHED_EVERY = 1_000;
const STALE_AFTER = 15_000;

/**
 * Runs work while holding a lock file, so that two commands preparing the same checkout take turns. A lock whose holder is dead hinders nobody; one
 * that is empty, or names a stranger, only until it has lain untouched for a while.
 */
export async function withLock(file, work) {
  mkdirSync(dirname(file), { recursive: true });
  for (let told = false; ;) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      const seen = holderOf(file);
      if (seen !== null && !seen.held) takeAway(file, seen);
      else if (seen !== null) {
        if (!told) say('  waiting for another command to finish preparing…');
        told = true;
        await pause(300);
      }
    }
  }
  const touch = setInterval(() => {
    try {
      utimesSync(file, new Date(), new Date());
    } catch {
      // a lock taken away from us is noticed by nobody but the next command
    }
  }, TOUCHED_EVERY);
  try {
    return await work();
  } finally {
    clearInterval(touch);
    if (holderOf(file)?.text === String(process.pid)) rmSync(file, { force: true });
  }
}

/** What a lock says and whether anyone holds it; null when it is gone. */
function holderOf(file) {
  try {
    const { mtimeMs, ino } = statSync(file);
    const text = readFileSync(file, 'utf8').trim();
    const pid = Number(text);
    const isDead = Number.isInteger(pid) && pid > 1 && !isAlive(pid);
    return { text, ino, held: !isDead && Date.now() - mtimeMs < STALE_AFTER };
  } catch (error) {
    if (error.code === 'ENOENT') return null;
    throw error;
  }
}

/** Takes a lock away that nobody holds; where another command has just put its own there, that one is put back. */
function takeAway(file, seen) {
  const aside = `${file}.${process.pid}.stale`;
  try {
    renameSync(file, aside);
    if (statSync(aside).ino !== seen.ino) linkSync(aside, file);
  } catch {
    // somebody else was quicker
  }
  rmSync(aside, { force: true });
}
