import { execa, execaSync } from 'execa';
import { Stop } from './say.mjs';

/** An argument as it may be shown: addresses without their password. */
const withoutPassword = (arg) => arg.replace(/(\w+:\/\/[^:/@]+):[^@]+@/, '$1:…@');
/** Lines of a failing command's output that are shown. */
const LAST_LINES = 25;

/**
 * Runs a command to its end, quietly, with `input` to read where there is any, and gives what it printed; on failure stops with its last lines.
 * @param {string} command
 * @param {string[]} args
 * @param {{ input?: string } & import('execa').Options} options
 * @returns {Promise<string>}
 */
export async function run(command, args, { input, ...options } = {}) {
  const stdin = input === undefined ? { stdin: 'ignore' } : { input };
  const { failed, code, exitCode, originalMessage, stdout, all } = await execa(command, args, {
    all: true,
    reject: false,
    ...(options.stdio === undefined ? stdin : {}),
    ...options,
  });
  if (!failed) return stdout ?? '';
  if (exitCode === undefined && code) throw new Stop(`${command} could not be started: ${originalMessage}`);
  const last = (all ?? '').trim().split('\n').slice(-LAST_LINES).join('\n');
  throw new Stop(`${[command, ...args.map(withoutPassword)].join(' ')} failed:\n${last}`);
}

/** Whether a command ends with success. */
export const succeeds = (command, args, options = {}) =>
  !execaSync(command, args, { ...options, stdio: 'ignore', reject: false }).failed;
