import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { root } from './paths.mjs';

/** Folders whose files a bundle may hold, and what bundles it. */
const SOURCES = ['src/core', 'src/paper', 'src/db', 'data', 'cli', 'scripts'];

/** When a file of a folder last changed here; files unpacked with the dates of their release count from then on. */
const newest = (folder) =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((each) => each.isFile())
    .reduce((latest, each) => Math.max(latest, statSync(join(each.parentPath ?? each.path, each.name)).ctimeMs), 0);

/** Makes a program in TypeScript one file that Node runs, in about a tenth of a second. `outside` names what stays out of it. */
export async function bundle(entry, outfile, outside) {
  const { build } = await import('esbuild');
  await build({
    entryPoints: [join(root, entry)],
    outfile,
    bundle: true,
    platform: 'node',
    format: 'esm',
    logLevel: 'error',
    ...outside,
  });
}

/** {@link bundle}, kept until a source changes: its path. */
export async function bundled(entry, outside) {
  const kept = join(root, 'node_modules', '.cache', 'scabbard', `${basename(entry, '.ts')}.mjs`);
  const changed = Math.max(...SOURCES.map((folder) => newest(join(root, folder))));
  if (existsSync(kept) && statSync(kept).mtimeMs >= changed) return kept;
  mkdirSync(dirname(kept), { recursive: true });
  const fresh = `${kept}.${process.pid}`;
  await bundle(entry, fresh, outside);
  renameSync(fresh, kept);
  return kept;
}
