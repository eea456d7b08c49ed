import { spawn, spawnSync } from 'node:child_process';
import { Stop } from './say.mjs';

/** An argument as it may be shown: addresses without their password. */
const withoutPassword = (arg) => arg.replace(/(\w+:\/\/[^:/@]+):[^@]+@/, '$1:…@');

/** Runs a command to its end, quietly, with `input` to read where there is any; on failure stops with its last lines of output. */
export function run(command, args, { input, ...options } = {}) {
  return new Promise((resolve, reject) => {
    const stdin = input === undefined ? 'ignore' : 'pipe';
    const child = spawn(command, args, { stdio: [stdin, 'pipe', 'pipe'], ...options });
    child.stdin?.on('error', () => undefined).end(input);
    let output = '';
    const keep = (chunk) => (output = (output + chunk).slice(-8000));
    child.stdout?.on('data', keep);
    child.stderr?.on('data', keep);
    child.on('error', (error) => reject(new Stop(`${command} could not be started: ${error.message}`)));
    child.on('close', (code) => {
      if (code === 0) resolve(output);
      else
        reject(
          new Stop(
            `${[command, ...args.map(withoutPassword)].join(' ')} failed:\n${output.trim().split('\n').slice(-25).join('\n')}`,
          ),
        );
    });
  });
}

/** Whether a command ends with success. */
export function succeeds(command, args, options = {}) {
  return spawnSync(command, args, { stdio: 'ignore', ...options }).status === 0;
}

/** Waits. */
export const pause = (ms) => new Promise((resolve) => setTimeout(resolve, ms));

/** Whether a process lives. */
export function isAlive(pid) {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return error.code === 'EPERM';
  }
}
