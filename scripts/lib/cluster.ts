// A private PostgreSQL cluster: loopback only, its own port, password in a 0600 file, never run as root.
import { randomBytes } from 'node:crypto';
import {
  chmodSync,
  chownSync,
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statfsSync,
  writeFileSync,
} from 'node:fs';
import { dirname, join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { execaSync } from 'execa';
import { installDebian } from './debian.mjs';
import { withLock } from './lock.mjs';
import { checkoutName, dataFolder } from './paths.mjs';
import { nextFree } from './ports.mjs';
import { answers, dropStalePid, isAlive, readRunning } from './postmaster.mjs';
import { checkPassword, ensureDatabase, urlsOf, type DatabaseUrls } from './roles';
import { run, succeeds } from './run.mjs';
import { say, Stop } from './say.mjs';
import type { Stops } from './stops.mjs';

const FIRST_PORT = 54_320;

/** The user that PostgreSQL runs as; empty for ourselves. */
type ServerUser = { uid: number; gid: number } | { uid?: undefined; gid?: undefined };

function findBinaries(): string | null {
  const base = '/usr/lib/postgresql';
  const versions = existsSync(base) ? readdirSync(base).sort((a, b) => Number(b) - Number(a)) : [];
  const debian = versions.map((version) => join(base, version, 'bin')).find((bin) => existsSync(join(bin, 'initdb')));
  if (debian) return debian;
  const onPath = (process.env.PATH ?? '').split(':').find((folder) => existsSync(join(folder, 'initdb')));
  return onPath ?? null;
}

async function ensureBinaries(): Promise<string> {
  const found = findBinaries();
  if (found) return found;
  await installDebian(['postgresql'], 'PostgreSQL');
  const bin = findBinaries();
  if (!bin) throw new Stop('PostgreSQL was installed but its programs were not found under /usr/lib/postgresql.');
  return bin;
}

/** The user that runs the server: ourselves, or Debian's `postgres` when we are root (the server refuses root). */
function serverUser(): ServerUser {
  if (process.getuid?.() !== 0) return {};
  const id = (flag: string) => Number(execaSync('id', [flag, 'postgres'], { reject: false }).stdout || NaN);
  const uid = id('-u');
  const gid = id('-g');
  if (!uid || !gid)
    throw new Stop(
      'PostgreSQL will not run as root and there is no user named postgres. Run: adduser --system --group postgres',
    );
  return { uid, gid };
}

/** Where the cluster may live: under .data, or, where its user may not enter the checkout, under /var/lib. */
function clusterFolder(name: string, user: ServerUser): string {
  const inside = join(dataFolder, name);
  mkdirSync(inside, { recursive: true });
  if (user.uid === undefined) return join(inside, 'cluster');
  const enters = succeeds('test', ['-x', inside], { ...user, cwd: '/' });
  const place = enters ? inside : join('/var/lib/scabbard', checkoutName, name);
  mkdirSync(place, { recursive: true });
  return join(place, 'cluster');
}

/** Whether a folder holds a database: such a folder is never removed. */
const holdsDatabase = (folder: string) => existsSync(join(folder, 'PG_VERSION'));

function newPassword(passwordFile: string): string {
  const password = randomBytes(24).toString('hex');
  writeFileSync(passwordFile, password, { mode: 0o600 });
  chmodSync(passwordFile, 0o600);
  return password;
}

/** Makes the cluster beside its folder and moves it there once it is whole, so that what stands there is always whole. Throws {@link Stop} where something else stands there. */
async function create(bin: string, folder: string, user: ServerUser, passwordFile: string): Promise<void> {
  if (existsSync(folder) && readdirSync(folder).length > 0)
    throw new Stop(
      `${folder} is not empty, but the file PG_VERSION that marks a database is missing. Nothing was changed. If this is your database, put PG_VERSION back (one line with the major version, as in /usr/lib/postgresql/<version>) or copy the folder back from where it was moved. If you want to start with an empty database, move the folder away and start again; npm run restore -- FILE then reads a backup.`,
    );
  say('• creating the database cluster…');
  rmSync(folder, { recursive: true, force: true });
  const fresh = `${folder}.fresh`;
  // an attempt that was cut off left this behind; no server ever ran on it
  rmSync(fresh, { recursive: true, force: true });
  mkdirSync(fresh, { recursive: true, mode: 0o700 });
  if (user.uid !== undefined) chownSync(fresh, user.uid, user.gid);
  const handed = join(dirname(folder), `.first-password-${process.pid}`);
  writeFileSync(handed, newPassword(passwordFile), { mode: 0o600 });
  if (user.uid !== undefined) chownSync(handed, user.uid, user.gid);
  try {
    await run(
      join(bin, 'initdb'),
      ['-D', fresh, '-U', 'scabbard', '-E', 'UTF8', '--locale=C.UTF-8', '--auth=scram-sha-256', `--pwfile=${handed}`],
      { ...user, cwd: '/' },
    );
    renameSync(fresh, folder);
  } finally {
    rmSync(handed, { force: true });
  }
}

/** Gives the database a new password where the file with the old one is gone: by its own single-user mode, which asks for none. */
function resetPassword(bin: string, folder: string, user: ServerUser, passwordFile: string): void {
  say('• the database’s password file is gone: setting a new password…');
  const password = newPassword(passwordFile);
  const { failed, stderr } = execaSync(join(bin, 'postgres'), ['--single', '-D', folder, 'postgres'], {
    ...user,
    cwd: '/',
    reject: false,
    input: `ALTER ROLE scabbard PASSWORD '${password}';\n`,
  });
  if (!failed) return;
  rmSync(passwordFile, { force: true });
  throw new Stop(
    `The password of the database in ${folder} is lost and no new one could be set (${(stderr ?? '').trim().split('\n').at(-1)}). The database itself is untouched.`,
  );
}

/** A cluster that can be started and whose password is known. */
async function ensureCluster(bin: string, folder: string, user: ServerUser, passwordFile: string): Promise<void> {
  if (!holdsDatabase(folder)) await create(bin, folder, user, passwordFile);
  else if (!existsSync(passwordFile) || readFileSync(passwordFile, 'utf8').trim() === '')
    resetPassword(bin, folder, user, passwordFile);
}

/** Connections the private database takes: enough for the pools of a server process on each of a dozen cores, and for commands beside them. */
const MAX_CONNECTIONS = 100;

/** How often, and how long apart in ms, a start is tried: what is left of a killed server holds its memory for a moment. */
const STARTS = { tries: 12, apart: 500 };

/** A server needs some room of its own to start, bytes. */
const LEAST_ROOM = 4_000_000;
function hasNoRoom(folder: string): boolean {
  const { bavail, bsize } = statfsSync(folder);
  return bavail * bsize < LEAST_ROOM;
}

async function startServer(bin: string, folder: string, user: ServerUser, port: number): Promise<void> {
  const log = join(folder, 'server.log');
  const settings = [
    `-p ${port}`,
    "-c listen_addresses='127.0.0.1'",
    "-c unix_socket_directories=''",
    `-c max_connections=${MAX_CONNECTIONS}`,
    '-c log_min_messages=fatal',
  ].join(' ');
  for (let tries = 1; ; tries++) {
    dropStalePid(folder);
    rmSync(log, { force: true });
    try {
      await run(join(bin, 'pg_ctl'), ['-D', folder, '-w', '-t', '30', '-l', log, '-o', settings, 'start'], {
        ...user,
        cwd: '/',
        // the server must outlive this shell's Ctrl-C until it is told to stop, and must not hold our pipes open
        stdio: 'ignore',
        detached: true,
      });
      return;
    } catch {
      const why = existsSync(log) ? readFileSync(log, 'utf8').trim().split('\n').slice(-4).join('\n') : '';
      if (hasNoRoom(folder)) throw new Stop(`The database did not start: no space left on the disk of ${folder}.`);
      if (tries >= STARTS.tries)
        throw new Stop(`The database did not start. It says:\n${why || `nothing; see ${log}`}`);
      await pause(STARTS.apart);
    }
  }
}

/** The port remembered from the last time, where that makes sense. */
function rememberedPort(portFile: string): number {
  const port = existsSync(portFile) ? Number(readFileSync(portFile, 'utf8')) : NaN;
  return Number.isInteger(port) && port >= 1024 && port <= 65_000 ? port : FIRST_PORT;
}

/** Starts the server where none runs; returns its port. */
async function ensureRunning(bin: string, folder: string, user: ServerUser, portFile: string): Promise<number> {
  const running = readRunning(folder);
  if (running?.port && (await answers(running.port))) return running.port;
  const port = await nextFree(rememberedPort(portFile));
  await startServer(bin, folder, user, port);
  writeFileSync(portFile, String(port));
  return port;
}

/** Commands that use a cluster leave their process number; the last one out stops the server. */
function users(folder: string) {
  mkdirSync(folder, { recursive: true });
  const others = () =>
    readdirSync(folder)
      .map(Number)
      .filter((pid) => pid && pid !== process.pid)
      .filter((pid) => isAlive(pid) || rmSync(join(folder, String(pid)), { force: true }));
  return {
    enter: () => writeFileSync(join(folder, String(process.pid)), ''),
    leave: () => rmSync(join(folder, String(process.pid)), { force: true }),
    others,
  };
}

/** How often it is looked whether the database still runs, ms. */
const LOOK_EVERY = 500;

/** Brings the server back on its port whenever it is gone; returns what ends that. */
function watch(bin: string, folder: string, user: ServerUser, port: number): () => Promise<void> {
  let ended = false;
  const done = (async () => {
    while (!ended) {
      await pause(LOOK_EVERY);
      if (ended || (await answers(port))) continue;
      await withLock(join(dataFolder, 'preparing.lock'), async () => {
        if (ended || (await answers(port))) return;
        await startServer(bin, folder, user, port);
        say('• the database had stopped; it was started again');
      }).catch((error: unknown) => say(`• the database has stopped and does not start: ${String(error)}`));
    }
  })();
  return async () => {
    ended = true;
    await done;
  };
}

export interface Opening {
  /** What ends whatever is started is added here. */
  stops: Stops;
  /** Whether the database is started again whenever it ends. */
  keep?: boolean;
}

/** An open database: where PostgreSQL's programs are, and its addresses. */
export interface Opened extends DatabaseUrls {
  bin: string;
  /** File with the process id of the private server; null for a database of one's own. */
  pidFile: string | null;
}

/** Where PostgreSQL's own programs are. */
export const databasePrograms = ensureBinaries;

/**
 * Starts (or joins) the private cluster `name` and makes sure `database` and its roles exist. Returns its addresses: `url` for the application,
 * `ownerUrl` for changes of its tables, `adminUrl` for its superuser. What ends it (unless another command still uses it) is added to `stops`;
 * with `keep` it is brought back whenever it dies until then.
 */
export async function openDatabase(name: string, database: string, { stops, keep = false }: Opening): Promise<Opened> {
  const bin = await ensureBinaries();
  const user = serverUser();
  const folder = clusterFolder(name, user);
  const place = join(dataFolder, name);
  const passwordFile = join(place, 'password');
  const inUse = users(join(place, 'users'));
  inUse.enter();
  stops.push(async () => {
    inUse.leave();
    if (inUse.others().length > 0 || !readRunning(folder)) return;
    await run(join(bin, 'pg_ctl'), ['-D', folder, '-w', '-t', '30', '-m', 'fast', 'stop'], {
      ...user,
      cwd: '/',
      detached: true,
    }).catch(() => undefined);
  });
  if (!readRunning(folder)) {
    dropStalePid(folder);
    await ensureCluster(bin, folder, user, passwordFile);
  }
  const port = await ensureRunning(bin, folder, user, join(place, 'port'));
  if (!existsSync(passwordFile))
    throw new Stop(
      `The database runs, and the file with its password, ${passwordFile}, is gone. Stop the other command that uses it and start again: a new password is set then, and nothing is lost.`,
    );
  const secret = readFileSync(passwordFile, 'utf8').trim();
  await checkPassword(bin, secret, port, passwordFile);
  await ensureDatabase(bin, secret, port, database);
  if (keep) stops.push(watch(bin, folder, user, port));
  return { bin, pidFile: join(folder, 'postmaster.pid'), ...urlsOf(secret, port, database) };
}
