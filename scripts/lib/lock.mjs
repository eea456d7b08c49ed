import { mkdirSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname } from 'node:path';
import { isAlive, pause } from './run.mjs';
import { say } from './say.mjs';

/** Runs work while holding a lock file, so that two commands preparing the same checkout take turns. A dead holder is ignored. */
export async function withLock(file, work) {
  mkdirSync(dirname(file), { recursive: true });
  for (let told = false; ;) {
    try {
      writeFileSync(file, String(process.pid), { flag: 'wx' });
      break;
    } catch (error) {
      if (error.code !== 'EEXIST') throw error;
      if (!isHeld(file)) rmSync(file, { force: true });
      else {
        if (!told) say('  waiting for another command to finish preparing…');
        told = true;
        await pause(300);
      }
    }
  }
  try {
    return await work();
  } finally {
    rmSync(file, { force: true });
  }
}

function isHeld(file) {
  try {
    const pid = Number(readFileSync(file, 'utf8'));
    return !pid || isAlive(pid);
  } catch {
    return false;
  }
}
