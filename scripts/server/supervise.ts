// Starts the server processes, watches them and starts one again when it ends or hangs.
import cluster, { type Worker } from 'node:cluster';
import { closeSync, mkdirSync, openSync, readFileSync, renameSync, statSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { dirname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { say, Stop } from '../lib/say.mjs';
import { ALIVE_EVERY_MS, reportSchema, type Report } from './reports';

/** A log longer than this is put aside when a server starts, bytes; the one put aside before is overwritten. */
const LONGEST_LOG = 20_000_000;
/** A process must be listening within this time, ms. */
const READY_WITHIN = 20_000;
/** A process told to stop is killed after this time, ms. */
const STOPS_WITHIN = 4_000;
/** A process that reports nothing for this long hangs, ms. */
const HANGS_AFTER = 30_000;
/** Wait before a process is started again: doubled each time it ends within `steadyMs` of its start, ms. */
const BACKOFF = { firstMs: 200, mostMs: 10_000, steadyMs: 10_000 };
/** How much of its log a failed start shows, characters. */
const SHOWN_LOG = 4_000;

/** Thrown where another server has the port. */
export class PortTaken extends Stop {}

export interface Serving {
  databaseUrl: string;
  port: number;
  host?: string;
  /** File that the processes write to. */
  log: string;
  /** How many processes share the port. */
  servers?: number;
  /** Further environment of the processes. */
  env?: Record<string, string>;
}

export interface Served {
  address: string;
  /** Ids of the processes that run now. */
  pids: () => number[];
  /** How often a process was started again because it had ended or hung. */
  restarts: () => number;
  stop: () => Promise<void>;
  /** Settles when everything has stopped. */
  ended: Promise<void>;
}

/** How many processes `SERVERS` asks for: a number, or `auto` for one per core; one where it is not set. Throws {@link Stop}. */
export function serversAsked(asked = process.env.SERVERS): number {
  if (!asked) return 1;
  if (asked === 'auto') return availableParallelism();
  const number = Number(asked);
  if (!Number.isInteger(number) || number < 1 || number > 64)
    throw new Stop(`SERVERS=${asked} is not a number of processes; use 1 to 64, or auto for one per core.`);
  return number;
}

/** A log file opened for appending; what it held before this start is not counted. */
function openLog(file: string): { fd: number; tail: () => string } {
  mkdirSync(dirname(file), { recursive: true });
  if ((statSync(file, { throwIfNoEntry: false })?.size ?? 0) > LONGEST_LOG) renameSync(file, `${file}.1`);
  const fd = openSync(file, 'a');
  const from = statSync(file).size;
  return { fd, tail: () => readFileSync(file).subarray(from).toString('utf8').slice(-SHOWN_LOG) };
}

/** Why a process did not come to listen: its error's code, or that it ended or stayed silent. */
const firstReport = (worker: Worker): Promise<Report> =>
  Promise.race([
    new Promise<Report>((resolve) => {
      worker.on('message', (message: unknown) => {
        const read = reportSchema.safeParse(message);
        if (read.success) resolve(read.data);
      });
      worker.once('exit', () => resolve({ failed: 'it ended' }));
    }),
    pause(READY_WITHIN, { failed: 'it did not answer' }, { ref: false }),
  ]);

/**
 * Starts the processes that serve a build and waits until all of them listen on one port. From then on a process that ends or hangs is
 * started again, and that is said. Throws {@link PortTaken} where another program has the port, {@link Stop} where a process does not start.
 */
export async function serve(entry: string, serving: Serving): Promise<Served> {
  const { databaseUrl, port, host = '127.0.0.1', servers = 1, env = {} } = serving;
  const log = openLog(serving.log);
  cluster.setupPrimary({
    exec: join(dirname(entry), 'process.mjs'),
    args: [entry],
    stdio: ['ignore', log.fd, log.fd, 'ipc'],
  });
  const running = new Set<Worker>();
  let isStopping = false;
  let restarts = 0;
  let settle: () => void = () => undefined;
  const ended = new Promise<void>((resolve) => (settle = resolve));

  const fork = () => {
    const worker = cluster.fork({
      ...env,
      NODE_ENV: 'production',
      HOST: host,
      PORT: String(port),
      DATABASE_URL: databaseUrl,
    });
    running.add(worker);
    worker.once('exit', () => running.delete(worker));
    killWhenHanging(worker);
    return worker;
  };
  /** Keeps one process running, whatever happens to it. */
  const keepRunning = (worker: Worker, failures = 0) => {
    const began = Date.now();
    worker.once('exit', (code, signal) => {
      if (isStopping) return;
      const isSteady = Date.now() - began > BACKOFF.steadyMs;
      const wait = Math.min(BACKOFF.mostMs, BACKOFF.firstMs * 2 ** (isSteady ? 0 : failures));
      say(`• a server process ended unexpectedly (${signal ?? code}); starting it again in ${wait / 1000} s`);
      setTimeout(() => {
        if (isStopping) return;
        restarts++;
        const next = fork();
        keepRunning(next, isSteady ? 1 : failures + 1);
        void firstReport(next).then((said) => 'listening' in said && say('• the server process runs again'));
      }, wait);
    });
  };
  let stopping: Promise<void> | null = null;
  const stop = () =>
    (stopping ??= (async () => {
      isStopping = true;
      await Promise.all([...running].map(stopped));
      closeSync(log.fd);
      settle();
    })());

  const first = Array.from({ length: servers }, fork);
  for (const said of await Promise.all(first.map(firstReport))) {
    if (!('failed' in said)) continue;
    await stop();
    if (said.failed === 'EADDRINUSE')
      throw new PortTaken(`Port ${port} is taken. Choose another PORT, or leave it out.`);
    throw new Stop(`The server does not start (${said.failed}):\n${log.tail()}`);
  }
  for (const worker of first) keepRunning(worker);
  return {
    address: `http://${host.includes(':') ? `[${host}]` : host}:${port}`,
    pids: () => [...running].flatMap(({ process: { pid } }) => pid ?? []),
    restarts: () => restarts,
    stop,
    ended,
  };
}

async function stopped(worker: Worker): Promise<void> {
  const gone = new Promise<void>((resolve) => {
    if (worker.isDead()) resolve();
    else worker.once('exit', () => resolve());
  });
  worker.process.kill('SIGTERM');
  const kill = setTimeout(() => worker.process.kill('SIGKILL'), STOPS_WITHIN);
  await gone;
  clearTimeout(kill);
}

/** Kills a process that has stopped reporting. Turns are counted, not time: a machine that slept has not made anything hang. */
function killWhenHanging(worker: Worker): void {
  let silentTurns = 0;
  worker.on('message', () => (silentTurns = 0));
  const timer = setInterval(() => {
    if (++silentTurns * ALIVE_EVERY_MS < HANGS_AFTER) return;
    say('• a server process does not respond; it is ended');
    worker.process.kill('SIGKILL');
  }, ALIVE_EVERY_MS);
  timer.unref();
  worker.once('exit', () => clearInterval(timer));
}
