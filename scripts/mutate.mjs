// npm run mutate: changes every constant by half, down and up, and breaks every rule of a kit's worth, one at a time, and tells which of them no
// test notices. First the pinned scores, edges and plans are tried, then the tests of the core. `npm run mutate -- NAME` tries those whose name holds NAME (`rule`, or
// `edge.ts`), `npm run mutate -- NAME 9` every ninth of them.
import { mkdtempSync, readdirSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import { join } from 'node:path';
import { build } from 'esbuild';
import { execa } from 'execa';
import { mutantOf } from './lib/mutant.mjs';
import { root } from './lib/paths.mjs';
import { RULES } from './lib/rules.mjs';

const CONSTANTS = join(root, 'src', 'core', 'constants');
const [, , wanted = '', every = '1'] = process.argv;
const folder = mkdtempSync(join(tmpdir(), 'scabbard-mutate-'));

/** Every number of the constants, halved and raised by half. */
function constantMutants() {
  return readdirSync(CONSTANTS).flatMap((file) => {
    const path = join(CONSTANTS, file);
    const text = readFileSync(path, 'utf8');
    return [...text.matchAll(/(?<=\bc\(\s*|\[)-?\d+(?:\.\d+)?(?=,)|(?<=\[\d+, )\d+(?:\.\d+)?(?=\])/g)].flatMap(
      (found) => {
        const value = Number(found[0]);
        const before = text.slice(0, found.index);
        const group = [...before.matchAll(/^ {2}['"]?([\w-]+)['"]?: [{[]\n/gm)].at(-1)?.[1] ?? '';
        const key = [...before.matchAll(/['"]?([\w-]+)['"]?: (?:c\(|\[)/g)].at(-1)?.[1] ?? '';
        const line = before.split('\n').length;
        const changed = value === 0 ? [0.5] : [value / 2, value * 1.5];
        return changed.map((to) => ({
          kind: 'constant',
          name: `${file}:${line} ${group} ${key} ${value} → ${to}`,
          path,
          from: { index: found.index, text: found[0] },
          to: String(to),
        }));
      },
    );
  });
}

function ruleMutants() {
  return RULES.map(({ name, file, from, to }) => {
    const path = join(root, 'src', 'core', file);
    const text = readFileSync(path, 'utf8');
    const index = text.indexOf(from);
    if (index < 0 || text.indexOf(from, index + 1) >= 0)
      throw new Error(`mutate: "${name}" is not found once in ${file}; put scripts/lib/rules.mjs right`);
    return { kind: 'rule', name, path, from: { index, text: from }, to };
  });
}

/** Exit code of a command, 1 where it takes too long. */
const run = async (command, args, env, timeout) =>
  (await execa(command, args, { cwd: root, env, stdio: 'ignore', timeout, reject: false })).exitCode ?? 1;

/** Whether anything notices a mutant. */
async function isNoticed(mutant, slot) {
  const outfile = join(folder, `held-${slot}.mjs`);
  await build({
    entryPoints: [join(root, 'cli', 'held.ts')],
    bundle: true,
    platform: 'node',
    format: 'esm',
    outfile,
    logLevel: 'error',
    plugins: [mutantOf(mutant).forEsbuild],
  });
  if ((await run(process.execPath, [outfile], {}, 120_000)) !== 0) return true;
  const vitest = join(root, 'node_modules', 'vitest', 'vitest.mjs');
  const args = [vitest, 'run', '--config', 'scripts/lib/mutate.config.mjs', '--bail', '1', 'src/core'];
  return (await run(process.execPath, args, { MUTANT: JSON.stringify(mutant) }, 300_000)) !== 0;
}

const mutants = [...ruleMutants(), ...constantMutants()]
  .filter(({ kind, name }) => `${kind} ${name}`.includes(wanted))
  .filter((_, i) => i % Number(every) === 0);
const survivors = [];
let done = 0;
const queue = [...mutants];
await Promise.all(
  Array.from({ length: Math.max(1, availableParallelism()) }, async (_, slot) => {
    for (let mutant = queue.shift(); mutant; mutant = queue.shift()) {
      if (!(await isNoticed(mutant, slot))) {
        survivors.push(mutant);
        process.stdout.write(`survives: ${mutant.name}\n`);
      }
      if (++done % 50 === 0) process.stdout.write(`${done} of ${mutants.length}\n`);
    }
  }),
);
rmSync(folder, { recursive: true, force: true });
for (const kind of ['rule', 'constant']) {
  const of = (list) => list.filter((m) => m.kind === kind).length;
  process.stdout.write(`${kind}s: ${of(survivors)} of ${of(mutants)} survive\n`);
}
const constants = mutants.filter((m) => m.kind === 'constant').length;
const tooMany = survivors.filter((m) => m.kind === 'constant').length > 0.1 * constants;
process.exitCode = tooMany || survivors.some((m) => m.kind === 'rule') ? 1 : 0;
