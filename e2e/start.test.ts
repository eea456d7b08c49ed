import { spawn, type ChildProcess } from 'node:child_process';
import { existsSync, rmSync, statSync } from 'node:fs';
import { createServer } from 'node:net';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, expect, test } from 'vitest';
import { z } from '../src/core/zod';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const CLUSTER = 'test-start';
const PORT = String(await freePort());
const here = `http://127.0.0.1:${PORT}`;
const running: ChildProcess[] = [];

/** A port nobody listens on. */
function freePort(): Promise<number> {
  return new Promise((resolve) => {
    const server = createServer().listen(0, '127.0.0.1', () => {
      const address = server.address();
      server.close(() => resolve(typeof address === 'object' && address ? address.port : 0));
    });
  });
}

/** Starts the application as npm start does, on a cluster of this test's own; resolves with its process and the seconds it took. */
function start(): Promise<{ child: ChildProcess; seconds: number }> {
  const began = performance.now();
  const child = spawn(process.execPath, [join(root, 'scripts', 'start.mjs')], {
    cwd: root,
    env: { ...process.env, PORT, SCABBARD_CLUSTER: CLUSTER, DATABASE_URL: '' },
  });
  running.push(child);
  return new Promise((resolve, reject) => {
    let output = '';
    child.stdout.on('data', (chunk: Buffer) => {
      output += chunk.toString();
      if (output.includes(`ready: ${here}`)) resolve({ child, seconds: (performance.now() - began) / 1000 });
    });
    child.stderr.on('data', (chunk: Buffer) => (output += chunk.toString()));
    child.once('exit', (code) => reject(new Error(`ended with ${code}: ${output}`)));
  });
}

const ended = (child: ChildProcess) =>
  new Promise((resolve) =>
    child.exitCode === null && child.signalCode === null ? child.once('exit', resolve) : resolve(0),
  );

afterAll(async () => {
  for (const child of running) {
    child.kill('SIGTERM');
    await ended(child);
  }
  rmSync(join(root, '.data', CLUSTER), { recursive: true, force: true });
});

test('what is saved outlives a stop and the loss of the password file, and a killed server hinders no later start', async () => {
  const first = await start();
  const visit = await fetch(here);
  const cookie = visit.headers.getSetCookie()[0]?.split(';')[0] ?? '';
  const headers = { cookie, origin: here, 'content-type': 'application/json' };
  const body = JSON.stringify({ from: 'sample', sample: 'saltstair-supper-house' });
  const { id } = z
    .object({ id: z.string() })
    .parse(await (await fetch(`${here}/api/kitchens`, { method: 'POST', headers, body })).json());

  const password = join(root, '.data', CLUSTER, 'password');
  expect(statSync(password).mode & 0o777).toBe(0o600);

  first.child.kill('SIGTERM');
  await ended(first.child);
  await expect(fetch(here)).rejects.toThrow();
  const folder = join(root, '.data', CLUSTER, 'cluster');
  if (existsSync(folder)) expect(existsSync(join(folder, 'postmaster.pid'))).toBe(false);

  // the database outlives the loss of the file with its password
  rmSync(password);
  const second = await start();
  expect(statSync(password).mode & 0o777).toBe(0o600);
  console.log(`second start ready after ${second.seconds.toFixed(1)} s`);
  expect((await fetch(`${here}/api/kitchens/${id}`, { headers: { cookie } })).status).toBe(200);

  // a crash: the command dies without stopping anything; its server ends by itself, its database is taken over
  second.child.kill('SIGKILL');
  await ended(second.child);
  await new Promise((resolve) => setTimeout(resolve, 500));
  await start();
  expect((await fetch(`${here}/api/kitchens/${id}`, { headers: { cookie } })).status).toBe(200);
});
