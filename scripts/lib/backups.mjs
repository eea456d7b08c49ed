// Backups by PostgreSQL's own tools, in its archive format.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { dataFolder } from './paths.mjs';
import { psql, withDatabase } from './roles.mjs';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';

/** Backups a migration takes by itself are kept for so many of them; those asked for are never removed. */
const KEPT_BY_ITSELF = 10;
const BY_ITSELF = /^before-migration-.*\.dump$/;

const stamp = () => new Date().toISOString().replace(/\D/g, '').slice(0, 14);
const folderOf = (cluster) => join(dataFolder, cluster, 'backups');

/** Writes a backup of the database at `url` to `file`, whole or not at all; one that stands there is not overwritten. */
export async function backUp(bin, url, file) {
  if (existsSync(file)) throw new Stop(`${file} is there already; name another file.`);
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  try {
    await run(join(bin, 'pg_dump'), [
      '--format=custom',
      '--no-owner',
      '--no-password',
      `--file=${part}`,
      `--dbname=${url}`,
    ]);
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
}

/** Where a backup goes when no file is named. */
export const usualFile = (cluster) => join(folderOf(cluster), `scabbard-${stamp()}.dump`);

/** The backup taken before a migration. */
export async function backUpBefore({ bin, url, cluster }) {
  const folder = folderOf(cluster);
  const file = join(folder, `before-migration-${stamp()}.dump`);
  say(`• backing up the database before it is changed: ${file}`);
  await backUp(bin, url, file);
  const old = readdirSync(folder)
    .filter((name) => BY_ITSELF.test(name))
    .sort()
    .slice(0, -KEPT_BY_ITSELF);
  for (const name of old) rmSync(join(folder, name));
}

/**
 * Puts the database of a backup in the place of the one at `adminUrl`. It is read into a database of its own first and takes the name only when it is
 * whole; the one before keeps its data under another name, which is returned.
 */
export async function restore({ bin, adminUrl, ownerUrl }, file) {
  const path = resolve(file);
  if (!existsSync(path)) throw new Stop(`There is no file ${path}.`);
  const listed = await run(join(bin, 'pg_restore'), ['--list', path]).catch(() => '');
  if (!/TABLE DATA public workspace /.test(listed))
    throw new Stop(`${path} is no backup of Scabbard; nothing was changed.`);
  const database = new URL(adminUrl).pathname.slice(1);
  const owner = new URL(ownerUrl).username;
  const maintenance = withDatabase(adminUrl, 'postgres');
  const [fresh, before] = [`${database}_restored_${stamp()}`, `${database}_before_${stamp()}`];
  await psql(bin, maintenance, `create database ${fresh} owner ${owner};`);
  try {
    const into = withDatabase(adminUrl, fresh);
    await run(join(bin, 'pg_restore'), [
      '--exit-on-error',
      '--no-owner',
      '--no-password',
      `--role=${owner}`,
      `--dbname=${into}`,
      path,
    ]);
  } catch (error) {
    await psql(bin, maintenance, `drop database if exists ${fresh};`);
    throw new Stop(`The backup could not be read in; the database is as it was.\n${error.message}`);
  }
  await psql(
    bin,
    maintenance,
    `alter database ${database} with allow_connections false;
     select pg_terminate_backend(pid) from pg_stat_activity where datname = '${database}' and pid <> pg_backend_pid();
     alter database ${database} rename to ${before};
     alter database ${fresh} rename to ${database};
     alter database ${before} with allow_connections true;`,
  );
  return before;
}
