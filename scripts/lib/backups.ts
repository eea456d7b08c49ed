// Backups with PostgreSQL's own tools, in its archive format. The dump is written and read as the role that owns the tables; only creating and
// renaming databases needs more.
import { existsSync, mkdirSync, readdirSync, renameSync, rmSync } from 'node:fs';
import { dirname, join, resolve } from 'node:path';
import { dataFolder } from './paths.mjs';
import { hidden, psql, withDatabase } from './roles';
import { run } from './run.mjs';
import { say, Stop } from './say.mjs';

/** How many backups taken before migrations are kept; those asked for are never removed. */
const KEPT_BY_ITSELF = 10;
const BY_ITSELF = /^before-migration-.*\.dump$/;

const stamp = () => new Date().toISOString().replace(/\D/g, '').slice(0, 17);
const folderOf = (cluster: string) => join(dataFolder, cluster, 'backups');

/** Writes a backup of the database at `url` to `file`, whole or not at all; a file that exists is not overwritten. */
export async function backUp(bin: string, url: string, file: string): Promise<void> {
  if (existsSync(file)) throw new Stop(`${file} is there already; name another file.`);
  mkdirSync(dirname(file), { recursive: true });
  const part = `${file}.part`;
  const { url: open, env } = hidden(url);
  try {
    await run(
      join(bin, 'pg_dump'),
      ['--format=custom', '--no-owner', '--no-privileges', '--no-password', `--file=${part}`, `--dbname=${open}`],
      { env },
    );
    renameSync(part, file);
  } finally {
    rmSync(part, { force: true });
  }
}

/** Where a backup goes when no file is named. */
export const usualFile = (cluster: string): string => join(folderOf(cluster), `scabbard-${stamp()}.dump`);

/** The backup taken before a migration. */
export async function backUpBefore(
  { bin, ownerUrl }: { bin: string; ownerUrl: string },
  cluster: string,
): Promise<void> {
  const folder = folderOf(cluster);
  const file = join(folder, `before-migration-${stamp()}.dump`);
  say(`• backing up the database before it is changed: ${file}`);
  await backUp(bin, ownerUrl, file);
  const old = readdirSync(folder)
    .filter((name) => BY_ITSELF.test(name))
    .sort()
    .slice(0, -KEPT_BY_ITSELF);
  for (const name of old) rmSync(join(folder, name));
}

/** Where a backup is restored. */
export interface Target {
  bin: string;
  /** A role that may create and rename databases. */
  adminUrl: string;
  /** The role that owns the tables; what is in the dump runs as this role. */
  ownerUrl: string;
}

async function checkIsBackup(bin: string, path: string): Promise<void> {
  if (!existsSync(path)) throw new Stop(`There is no file ${path}.`);
  const listed = await run(join(bin, 'pg_restore'), ['--list', path]).catch(() => '');
  if (!/TABLE DATA public workspace /.test(listed))
    throw new Stop(`${path} is not a backup of Scabbard; nothing was changed.`);
}

/**
 * Puts the database of a backup in the place of the one at `adminUrl`. The backup is read into a database of its own, which `makeReady` brings up to
 * date or refuses; it takes the name only then. The database it replaces keeps its data under the name that is returned.
 */
export async function restore(
  { bin, adminUrl, ownerUrl }: Target,
  file: string,
  makeReady: (ownerUrl: string) => Promise<void>,
): Promise<string> {
  const path = resolve(file);
  await checkIsBackup(bin, path);
  const database = new URL(adminUrl).pathname.slice(1);
  const owner = new URL(ownerUrl).username;
  const maintenance = withDatabase(adminUrl, 'postgres');
  const [fresh, before] = [`${database}_restored_${stamp()}`, `${database}_before_${stamp()}`];
  await psql(bin, maintenance, `create database ${fresh} owner ${owner};`);
  try {
    const into = withDatabase(ownerUrl, fresh);
    const { url, env } = hidden(into);
    await run(
      join(bin, 'pg_restore'),
      ['--exit-on-error', '--no-owner', '--no-privileges', '--no-password', `--dbname=${url}`, path],
      { env },
    );
    await makeReady(into);
  } catch (error) {
    await psql(bin, maintenance, `drop database if exists ${fresh};`);
    const why = error instanceof Error ? error.message : String(error);
    throw new Stop(`The backup was not restored; the database is as it was.\n${why}`);
  }
  await swap({ bin, maintenance, database, fresh, before });
  return before;
}

/** Exchanges two databases while others may be connected: they are cut off and find the new one when they connect again. */
async function swap(names: { bin: string; maintenance: string; database: string; fresh: string; before: string }) {
  const { bin, maintenance, database, fresh, before } = names;
  await psql(
    bin,
    maintenance,
    `alter database ${database} with allow_connections false;
     select pg_terminate_backend(pid, 5000) from pg_stat_activity where datname = '${database}' and pid <> pg_backend_pid();
     alter database ${database} rename to ${before};
     alter database ${fresh} rename to ${database};
     alter database ${before} with allow_connections true;`,
  ).catch(async (error: unknown) => {
    // the old database must be open again whatever happened
    await psql(
      bin,
      maintenance,
      `do $$ begin
         if exists (select from pg_database where datname = '${before}') and not exists (select from pg_database where datname = '${database}') then
           execute 'alter database ${before} rename to ${database}';
         end if;
       end $$;
       alter database ${database} with allow_connections true;
       drop database if exists ${fresh};`,
    );
    throw error;
  });
}
