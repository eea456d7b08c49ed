import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, expect, test } from 'vitest';
import { nextFree } from '../scripts/lib/ports.mjs';
import { PortTaken, serve, serversAsked, type Served } from '../scripts/server/supervise';
import { z } from '../src/core/zod';

/** The server goes on whatever happens to its processes, its connections and its database. */

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const folder = mkdtempSync(join(tmpdir(), 'scabbard-sound-'));
const log = join(folder, 'server.log');
const started: Served[] = [];
afterAll(async () => {
  for (const server of started) await server.stop();
  rmSync(folder, { recursive: true, force: true });
});

async function newServer(more: { servers?: number; env?: Record<string, string> } = {}): Promise<Served> {
  const server = await serve(process.env.SCABBARD_ENTRY ?? '', {
    databaseUrl: process.env.SCABBARD_OWNER_URL ?? '',
    port: await nextFree(4650),
    log,
    ...more,
  });
  started.push(server);
  return server;
}
const until = async (holds: () => boolean | Promise<boolean>) => {
  for (let tries = 0; !(await holds()); tries++) {
    if (tries > 200) throw new Error('did not come to hold');
    await new Promise((resolve) => setTimeout(resolve, 50));
  }
};
const healthOf = async ({ address }: Served) =>
  z.object({ pid: z.number() }).parse(await (await fetch(`${address}/health`)).json()).pid;

test('a tenth of the soak holds: storms, kills, lost connections, floods, odd files, backups, a full disk', async () => {
  const soak = spawn(process.execPath, [join(root, 'scripts', 'run.mjs'), 'soak', 'tenth'], { cwd: root });
  let output = '';
  for (const stream of [soak.stdout, soak.stderr]) stream.on('data', (chunk: Buffer) => (output += chunk.toString()));
  const code = await new Promise((resolve) => soak.once('exit', resolve));
  expect(output.slice(-3000)).toContain('Every bar holds.');
  expect(code).toBe(0);
}, 400_000);

test('a process that is killed is started again; several share one port and nothing else', async () => {
  const server = await newServer({ servers: 2 });
  expect(server.pids()).toHaveLength(2);
  const [first = 0, second = 0] = server.pids();
  process.kill(first, 'SIGKILL');
  await until(() => server.restarts() === 1 && server.pids().length === 2);
  expect(server.pids()).toContain(second);
  expect(server.pids()).not.toContain(first);
  await until(() => healthOf(server).then(Boolean, () => false));
  // a process that is stopped hangs no stop
  const began = performance.now();
  await server.stop();
  expect(performance.now() - began).toBeLessThan(6_000);
  await expect(fetch(`${server.address}/health`)).rejects.toThrow();
});

test('beyond what is worked on at once a request is refused at once, with when to come again, as its sender can read it', async () => {
  const { address } = await newServer({ env: { MAX_WORKING: '2' } });
  const asked = await Promise.all(Array.from({ length: 40 }, () => fetch(`${address}/api/catalogue`)));
  const refused = asked.filter(({ status }) => status === 503);
  expect(asked.filter(({ status }) => status === 200).length).toBeGreaterThan(0);
  expect(refused.length + asked.filter(({ status }) => status === 200).length).toBe(40);
  expect(refused.length).toBeGreaterThan(0);
  expect(refused[0]?.headers.get('retry-after')).toBe('1');
  expect(await refused[0]?.json()).toMatchObject({ status: 503, detail: expect.stringContaining('busy') as string });
  for (const response of asked) if (!response.bodyUsed) await response.body?.cancel();
  const pages = await Promise.all(
    Array.from({ length: 40 }, () => fetch(`${address}/kitchens/none`, { headers: { accept: 'text/html' } })),
  );
  const page = pages.find(({ status }) => status === 503);
  expect(page?.headers.get('content-type')).toContain('text/html');
  expect(await page?.text()).toContain('Try again');
});

test('a port that is taken, and a number of processes that is none, are told as such', async () => {
  const taken = createServer();
  await new Promise<void>((resolve) => taken.listen({ port: 0, host: '127.0.0.1' }, resolve));
  const at = taken.address();
  const port = typeof at === 'object' && at ? at.port : 0;
  const began = performance.now();
  await expect(serve(process.env.SCABBARD_ENTRY ?? '', { databaseUrl: '', port, log })).rejects.toThrow(PortTaken);
  expect(performance.now() - began).toBeLessThan(10_000);
  taken.close();
  expect([serversAsked('3'), serversAsked(''), serversAsked('auto') >= 1]).toEqual([3, 1, true]);
  for (const odd of ['0', '1.5', 'many', '-2']) expect(() => serversAsked(odd)).toThrow(`SERVERS=${odd}`);
  expect(readFileSync(log, 'utf8')).not.toContain('postgres://');
});
