import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { root } from './paths.mjs';
import { pause } from './run.mjs';
import { Stop } from './say.mjs';

const SERVER_PROCESS = join(root, 'scripts', 'lib', 'server-process.mjs');

/** Starts the built server on a loopback port and waits until it answers. `stop` ends it. */
export async function serve(entry, databaseUrl, port) {
  const child = spawn(process.execPath, [SERVER_PROCESS, entry], {
    env: { ...process.env, NODE_ENV: 'production', HOST: '127.0.0.1', PORT: String(port), DATABASE_URL: databaseUrl },
    stdio: ['ignore', 'pipe', 'pipe', 'ipc'],
    // Ctrl-C reaches only the command itself, which then stops its children in order
    detached: true,
  });
  let output = '';
  child.stdout.on('data', (chunk) => (output = (output + chunk).slice(-4000)));
  child.stderr.on('data', (chunk) => {
    output = (output + chunk).slice(-4000);
    process.stderr.write(chunk);
  });
  const ended = new Promise((resolve) => child.once('exit', (code) => resolve(code ?? 0)));
  const stop = async () => {
    if (child.exitCode !== null || child.signalCode !== null) return;
    child.kill('SIGTERM');
    await Promise.race([ended, pause(3000).then(() => child.kill('SIGKILL'))]);
  };
  const address = `http://127.0.0.1:${port}`;
  for (let tries = 0; ; tries++) {
    if (child.exitCode !== null) throw new Stop(`The server stopped at once:\n${output}`);
    const answer = await fetch(`${address}/health`).catch(() => null);
    if (answer?.ok) return { address, stop, ended };
    if (tries > 150) {
      await stop();
      throw new Stop(`The server does not answer:\n${output}`);
    }
    await pause(100);
  }
}
