// Runs cli/NAME.ts. The TypeScript is bundled once (about a tenth of a second) and kept until a source changes.
import { existsSync, mkdirSync, readdirSync, renameSync, statSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { fileURLToPath, pathToFileURL } from 'node:url';

const root = join(dirname(fileURLToPath(import.meta.url)), '..');
const name = process.argv[2] ?? '';
const entry = join(root, 'cli', `${name}.ts`);
const kept = join(root, 'node_modules', '.cache', 'scabbard', `${name}.mjs`);

function newest(folder) {
  return readdirSync(folder, { withFileTypes: true, recursive: true })
    .filter((each) => each.isFile())
    .reduce((latest, each) => Math.max(latest, statSync(join(each.parentPath ?? each.path, each.name)).mtimeMs), 0);
}

if (!existsSync(join(root, 'node_modules', 'esbuild'))) {
  process.stderr.write('packages: are not installed; run npm start (or npm ci) once\n');
  process.exit(2);
}
const changed = Math.max(
  statSync(fileURLToPath(import.meta.url)).mtimeMs,
  ...['src/core', 'src/paper', 'data', 'cli'].map((folder) => newest(join(root, folder))),
);
if (!existsSync(kept) || statSync(kept).mtimeMs < changed) {
  const { build } = await import('esbuild');
  mkdirSync(dirname(kept), { recursive: true });
  const fresh = `${kept}.${process.pid}`;
  await build({
    entryPoints: [entry],
    bundle: true,
    platform: 'node',
    format: 'esm',
    external: ['highs', 'pdfkit'],
    outfile: fresh,
    logLevel: 'error',
  });
  renameSync(fresh, kept);
}
process.argv.splice(1, 2, entry);
await import(pathToFileURL(kept).href);
