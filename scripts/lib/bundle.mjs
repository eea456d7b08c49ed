import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { basename, dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { root } from './paths.mjs';

/** Folders whose files a bundle may hold. */
const SOURCES = ['src/core', 'src/paper', 'src/db', 'data', 'cli', 'scripts'];

const newest = (folder) =>
  readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((each) => each.isFile())
    .reduce((latest, each) => Math.max(latest, statSync(join(each.parentPath ?? each.path, each.name)).mtimeMs), 0);

/** A program in TypeScript as one file Node runs: bundled once (about a tenth of a second) and kept until a source changes. Packages named `external` stay outside. */
export async function bundled(entry, options) {
  const kept = join(root, 'node_modules', '.cache', 'scabbard', `${basename(entry, '.ts')}.mjs`);
  const changed = Math.max(
    statSync(fileURLToPath(import.meta.url)).mtimeMs,
    ...SOURCES.map((folder) => newest(join(root, folder))),
  );
  if (existsSync(kept) && statSync(kept).mtimeMs >= changed) return kept;
  const { build } = await import('esbuild');
  mkdirSync(dirname(kept), { recursive: true });
  const fresh = `${kept}.${process.pid}`;
  await build({
    entryPoints: [join(root, entry)],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile: fresh,
    logLevel: 'error',
    ...options,
  });
  renameSync(fresh, kept);
  return kept;
}
