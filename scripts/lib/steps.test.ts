import { spawn } from 'node:child_process';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { dirname, join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { afterAll, beforeAll, describe, expect, test } from 'vitest';

/** The steps behind `npm start`, each run as the plain Node program it is. */

const here = dirname(fileURLToPath(import.meta.url));
let folder = '';
beforeAll(() => {
  folder = mkdtempSync(join(tmpdir(), 'scabbard-steps-'));
});
afterAll(() => rmSync(folder, { recursive: true, force: true }));

/** Runs a few lines of script that import the steps; gives what they print and how they end. */
function script(lines: string, onReady?: (child: ReturnType<typeof spawn>) => void) {
  const child = spawn(process.execPath, ['--input-type=module', '-e', lines.replaceAll('LIB', `file://${here}`)]);
  let output = '';
  const listen = (chunk: Buffer) => {
    output += chunk.toString();
    if (onReady && output.includes('ready')) onReady(child);
  };
  child.stdout.on('data', listen);
  child.stderr.on('data', listen);
  return new Promise<{ output: string; code: number | null }>((resolve) =>
    child.on('exit', (code) => resolve({ output: output.trim(), code })),
  );
}

describe('ports', () => {
  test('the next free one is found past those in use', async () => {
    const taken = createServer();
    await new Promise<void>((resolve) => taken.listen({ port: 0, host: '127.0.0.1' }, resolve));
    const place = taken.address();
    const port = typeof place === 'object' && place ? place.port : 0;
    const { output } = await script(
      `import { nextFree } from 'LIB/ports.mjs'; console.log(await nextFree(${port}) > ${port});`,
    );
    taken.close();
    expect(output).toBe('true');
  });
});

describe('the lock', () => {
  const waiting = (name: string) => `
    import { withLock } from 'LIB/lock.mjs';
    import { appendFileSync } from 'node:fs';
    await withLock(${JSON.stringify(join(folder, 'lock'))}, async () => {
      appendFileSync(${JSON.stringify(join(folder, 'log'))}, 'in ${name};');
      await new Promise((r) => setTimeout(r, 150));
      appendFileSync(${JSON.stringify(join(folder, 'log'))}, 'out ${name};');
    });`;

  test('lets commands in one after the other', async () => {
    await Promise.all([script(waiting('a')), script(waiting('b'))]);
    expect(readFileSync(join(folder, 'log'), 'utf8')).toMatch(/^(in a;out a;in b;out b;|in b;out b;in a;out a;)$/);
  });

  test('of a command that died hinders nobody, and a failing one gives it back', async () => {
    await script(
      waiting('c').replace('await new Promise((r) => setTimeout(r, 150));', 'process.kill(process.pid, "SIGKILL");'),
    );
    const failed = await script(
      `import { withLock } from 'LIB/lock.mjs'; await withLock(${JSON.stringify(join(folder, 'lock'))}, () => { throw new Error('broken'); });`,
    );
    expect(failed.code).not.toBe(0);
    expect(failed.output).toMatch(/broken/);
    expect((await script(waiting('d'))).code).toBe(0);
    expect(readFileSync(join(folder, 'log'), 'utf8')).toMatch(/in c;in d;out d;$/);
  });
});

describe('what is started is stopped', () => {
  const lines = `
    import { withStops } from 'LIB/stops.mjs';
    await withStops(async (stops) => {
      stops.push(async () => console.log('first'), async () => console.log('second'));
      console.log('ready');
      WORK
    });`;

  test('in reverse order at the end, after a failure, and at a signal', async () => {
    expect((await script(lines.replace('WORK', ''))).output).toBe('ready\nsecond\nfirst');
    const failed = await script(lines.replace('WORK', 'throw new Error("no");'));
    expect(failed.output).toContain('ready\nsecond\nfirst');
    expect(failed.code).not.toBe(0);
    const long = lines.replace('WORK', 'await new Promise((r) => setTimeout(r, 20_000));');
    let asked = false;
    const stopped = await script(long, (child) => {
      if (!asked) child.kill('SIGTERM');
      asked = true;
    });
    expect(stopped).toEqual({ output: 'ready\nsecond\nfirst', code: 0 });
  });
});

describe('failures in words', () => {
  test('a full disk and a folder that cannot be written are told with what to do, anything unforeseen with its place', async () => {
    const { output } = await script(`
      import { inWords, Stop } from 'LIB/say.mjs';
      console.log(inWords(Object.assign(new Error('ENOSPC: no space left on device'), { code: 'ENOSPC' })));
      console.log(inWords(new Stop('pg_dump failed: No space left on device')));
      console.log(inWords(Object.assign(new Error('no'), { code: 'EACCES', path: '/srv/a' })));
      console.log(inWords(new Stop('Say which.')), inWords(new Error('odd')).includes('at '));`);
    expect(output.match(/The disk is full\. Free some space/g)).toHaveLength(2);
    expect(output).toContain('/srv/a cannot be written');
    expect(output).toMatch(/Say which\. true$/);
  });
});

describe('running commands', () => {
  test('a failure is told with its last lines, a missing program by name', async () => {
    const { output } = await script(`
      import { run, succeeds } from 'LIB/run.mjs';
      console.log(await run('sh', ['-c', 'echo fine']));
      await run('sh', ['-c', 'echo the reason >&2; exit 3']).catch((e) => console.log(e.message));
      await run('no-such-program', []).catch((e) => console.log(e.message));
      console.log(succeeds('true', []), succeeds('false', []));`);
    expect(output).toMatch(/fine/);
    expect(output).toMatch(/failed:\s+the reason/);
    expect(output).toMatch(/no-such-program could not be started/);
    expect(output).toMatch(/true false$/);
  });
});
