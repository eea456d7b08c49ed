import { createWriteStream, mkdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { execa } from 'execa';
import { root } from './paths.mjs';
import { Stop } from './say.mjs';

const SERVER_PROCESS = join(root, 'scripts', 'lib', 'server-process.mjs');
/** A log longer than this is put aside when a server starts, bytes; the one before it goes. */
const LONGEST_LOG = 20_000_000;
const READY_WITHIN = 20_000;
/** A server told to stop has so long, ms; then it is ended. */
const STOPS_WITHIN = 4_000;

/** Thrown where another server has the port. */
export class PortTaken extends Stop {}

function openLog(file) {
  mkdirSync(dirname(file), { recursive: true });
  if ((statSync(file, { throwIfNoEntry: false })?.size ?? 0) > LONGEST_LOG) renameSync(file, `${file}.1`);
  return createWriteStream(file, { flags: 'a' }).on('error', () => undefined);
}

/**
 * Starts the built server and waits until it has the port to itself. Its log goes to `log`. `stop` ends it. Throws {@link PortTaken} when the
 * port is another's.
 */
export async function serve(entry, { databaseUrl, port, log, host = '127.0.0.1' }) {
  const child = execa(process.execPath, [SERVER_PROCESS, entry], {
    env: { NODE_ENV: 'production', HOST: host, PORT: String(port), DATABASE_URL: databaseUrl },
    ipc: true,
    stdin: 'ignore',
    all: true,
    buffer: false,
    reject: false,
    // Ctrl-C reaches only the command itself, which then stops its children in order
    detached: true,
    forceKillAfterDelay: STOPS_WITHIN,
  });
  const file = openLog(log);
  let output = '';
  child.all.on('data', (chunk) => {
    output = (output + chunk).slice(-4000);
    file.write(chunk);
  });
  const ended = child.then(({ exitCode }) => exitCode ?? 0);
  const stop = async () => {
    child.kill();
    await ended;
  };
  const told = await Promise.race([
    child.getOneMessage().catch(() => ({ failed: 'ended' })),
    pause(READY_WITHIN).then(() => ({ failed: 'silent' })),
  ]);
  if (told.listening) {
    const address = `http://${host.includes(':') ? `[${host}]` : host}:${port}`;
    return { address, stop, ended, kill: () => child.kill('SIGKILL') };
  }
  await stop();
  if (told.failed === 'EADDRINUSE') throw new PortTaken(`Port ${port} is taken. Choose another PORT, or leave it out.`);
  throw new Stop(`The server does not start (${told.failed}):\n${output}`);
}
