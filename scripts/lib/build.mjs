import { createHash } from 'node:crypto';
import {
  existsSync,
  mkdirSync,
  readdirSync,
  readFileSync,
  renameSync,
  rmSync,
  statSync,
  utimesSync,
  writeFileSync,
} from 'node:fs';
import { join, relative } from 'node:path';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { bundle } from './bundle.mjs';
import { bundledData } from './checked-data.mjs';
import { dataFolder, root } from './paths.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

const SOURCES = [
  'src',
  'data',
  'public',
  'scripts/server',
  'scripts/lib/build.mjs',
  'scripts/lib/bundle.mjs',
  'scripts/lib/checked-data.mjs',
  'astro.config.mjs',
  'package-lock.json',
  'postcss.config.cjs',
  'tsconfig.json',
];
/** Files that no build holds. */
const TESTS = /\.test\.tsx?$/;
const KEPT = 3;
/** Packages are not bundled with the server's programs. */
const OUTSIDE = { packages: 'external', plugins: [bundledData] };
/** Files smaller than this are sent as they are, bytes. */
const LEAST_COMPRESSED = 1024;

function* files(path) {
  if (!existsSync(path)) return;
  if (!statSync(path).isDirectory()) yield path;
  else for (const name of readdirSync(path).sort()) yield* files(join(path, name));
}

function sourcesHash() {
  const hash = createHash('sha256');
  for (const source of SOURCES)
    for (const file of files(join(root, source)))
      if (!TESTS.test(file)) hash.update(relative(root, file)).update(readFileSync(file));
  return hash.digest('hex').slice(0, 16);
}

/** Writes each text file compressed beside itself, so that it is compressed once and not for every visitor. */
function compressFiles(folder) {
  for (const file of files(folder)) {
    if (!/\.(?:js|css|svg|json|txt|html)$/.test(file)) continue;
    const content = readFileSync(file);
    if (content.length < LEAST_COMPRESSED) continue;
    writeFileSync(`${file}.gz`, gzipSync(content, { level: 9 }));
    writeFileSync(`${file}.br`, brotliCompressSync(content, { params: { [constants.BROTLI_PARAM_QUALITY]: 9 } }));
  }
}

/**
 * Builds the application when its sources are not the ones last built. Each build has a folder of its own, named by its sources, so that a
 * server already running keeps its files. Returns the server's entry point.
 */
export async function ensureBuild() {
  const builds = join(dataFolder, 'builds');
  mkdirSync(builds, { recursive: true });
  const folder = join(builds, sourcesHash());
  if (!existsSync(folder)) {
    say('• building the application…');
    const fresh = join(builds, `.making-${process.pid}`);
    rmSync(fresh, { recursive: true, force: true });
    await run(
      process.execPath,
      [join(root, 'node_modules', 'astro', 'astro.js'), 'build', '--outDir', fresh, '--silent'],
      {
        cwd: root,
        env: { ...process.env, ASTRO_TELEMETRY_DISABLED: '1', NODE_ENV: 'production' },
      },
    );
    // the server process and the programs of its threads stand beside the pages
    await bundle('scripts/server/process.ts', join(fresh, 'server', 'process.mjs'), OUTSIDE);
    for (const program of ['reader', 'maker', 'planner'])
      await bundle(`src/threads/${program}.ts`, join(fresh, 'server', 'threads', `${program}.mjs`), OUTSIDE);
    compressFiles(join(fresh, 'client'));
    renameSync(fresh, folder);
  }
  utimesSync(folder, new Date(), new Date());
  const old = readdirSync(builds)
    .map((name) => ({ path: join(builds, name), used: statSync(join(builds, name)).mtimeMs }))
    .sort((a, b) => b.used - a.used)
    .slice(KEPT);
  for (const { path } of old) rmSync(path, { recursive: true, force: true });
  return join(folder, 'server', 'entry.mjs');
}
