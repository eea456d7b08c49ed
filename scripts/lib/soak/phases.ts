// What the server has to stand, one trial after the other.
import { readFileSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { daysLater } from '../../../src/core/calendar/day';
import { emptyKitchen } from '../../../src/core/formats/kitchenFile';
import type { Plan } from '../../../src/core/formats/planFile';
import { planKitchen } from '../../../src/core/kit/plan/planKitchen';
import { z } from '../../../src/core/zod';
import { backUp, restore } from '../backups';
import type { Opened } from '../cluster';
import { bringUpToDate } from '../prepare';
import { psql, withDatabase } from '../roles';
import { succeeds } from '../run.mjs';
import { say } from '../say.mjs';
import type { Served } from '../../server/supervise';
import { User, ask, type Answer } from './client';
import type { Random } from './fromSchema';
import { pacedLoad } from './load';
import type { Processors } from './processors';
import { isBroken, isRefused, isServed, Measures, quantile, type Bars } from './measures';

/** What every trial is given. */
export interface Soak {
  opened: Opened & { entry: string };
  server: Served;
  port: number;
  bars: Bars;
  random: Random;
  users: User[];
  /** 1 for the whole storm, 0.1 for a tenth of it. */
  size: number;
  /** Whether times are held against their bars: only on a machine that does nothing else. */
  isTimed: boolean;
  processors: Processors;
  /** Folder for what a trial writes. */
  folder: string;
}

/** Longest outage after a kill, and longest wait for a server that comes back, ms. */
const OUTAGE = { most: 3_000, giveUp: 60_000 };

const atLeast = (count: number, size: number) => Math.max(1, Math.round(count * size));

/** Whether the processes of the server are the ones they were. */
const samePids = (server: Served, before: readonly number[]) =>
  JSON.stringify([...server.pids()].sort()) === JSON.stringify([...before].sort());

/** Compares everything that was acknowledged with what is stored. */
async function checkWrites(users: readonly User[], bars: Bars, what: string): Promise<void> {
  const tally = { lost: 0, unconfirmed: 0, unanswered: 0 };
  for (const user of users) {
    let look = await user.look();
    for (let tries = 0; !look.answered && tries < 10; tries++) {
      await pause(200);
      look = await user.look();
    }
    if (!look.answered) tally.unanswered++;
    if (look.lost) tally.lost++;
    tally.unconfirmed += look.unconfirmed;
  }
  const sent = users.reduce((sum, user) => sum + user.edits, 0);
  say(`  writes sent: ${sent}; stored without an answer: ${tally.unconfirmed}; acknowledged and lost: ${tally.lost}`);
  bars.must(tally.lost === 0, `${what}: no acknowledged write is lost`);
  bars.must(tally.unanswered === 0, `${what}: every kitchen can be read afterwards`);
}

/** A storm in which nothing is killed. */
export async function calm(
  { users, server, bars, random, isTimed, processors }: Soak,
  aSecond: number,
  seconds: number,
): Promise<void> {
  say(`• ${users.length} users, ${aSecond} requests a second for ${seconds} s…`);
  const before = server.pids();
  await pacedLoad(users, { aSecond, seconds: 3, random }, new Measures(processors.since()));
  const measures = new Measures(processors.since());
  await pacedLoad(users, { aSecond, seconds, random }, measures);
  measures.tell(`${aSecond} a second`);
  bars.must(measures.countOf(isBroken) === 0, `${aSecond} a second: no error and no failed connection`);
  bars.must(samePids(server, before), `${aSecond} a second: no process was started again`);
  if (!isTimed) return;
  const served = quantile(measures.times(isServed), 0.95);
  if (aSecond > 400) {
    bars.mustInTime(
      served < 200,
      `${aSecond} a second: those served within 200 ms (${served.toFixed(0)})`,
      measures.use,
    );
    const refused = measures.times(isRefused);
    if (refused.length > 0)
      bars.mustInTime(
        quantile(refused, 0.95) < 50,
        `refused within 50 ms (${quantile(refused, 0.95).toFixed(0)})`,
        measures.use,
      );
    return;
  }
  const most = aSecond > 100 ? 100 : 25;
  bars.mustInTime(served < most, `${aSecond} a second: p95 under ${most} ms (${served.toFixed(0)})`, measures.use);
  bars.mustInTime(measures.countOf(isRefused) === 0, `${aSecond} a second: none refused`, measures.use);
}

/** Saves of somebody new every 50 ms; how long the longest time without a stored one was, ms. */
function watchOutage(port: number): () => Promise<number> {
  const user = new User(port, 1, 8);
  let [isOver, longest] = [false, 0];
  const done = (async () => {
    await user.begin();
    let last = performance.now();
    for (;;) {
      const { status } = await user.save();
      longest = Math.max(longest, performance.now() - last);
      if (status === 200) last = performance.now();
      if ((isOver && status === 200) || performance.now() - last > OUTAGE.giveUp) return;
      await pause(50);
    }
  })();
  return async () => {
    isOver = true;
    await done;
    return longest;
  };
}

const killDatabase = ({ pidFile }: Opened) => {
  if (pidFile) process.kill(Number(readFileSync(pidFile, 'utf8').split('\n')[0]), 'SIGKILL');
};

/** Kills of the database and of the server, in turn, under the usual load. */
export async function kills(soak: Soak): Promise<void> {
  const { users, server, port, bars, random, opened, size } = soak;
  const rounds = Math.max(2, Math.round(4 * size));
  say(`• the same with ${rounds} kills of database and server…`);
  const measures = new Measures(soak.processors.since());
  const restarts = server.restarts();
  let asked = 0;
  for (let i = 0; i < rounds; i++) {
    const outage = watchOutage(port);
    const use = soak.processors.since();
    const storming = pacedLoad(users, { aSecond: 60, seconds: 6, random }, measures);
    await pause(1500);
    if (i % 2 === 0) killDatabase(opened);
    else {
      const [pid] = server.pids();
      if (pid) process.kill(pid, 'SIGKILL');
      asked++;
    }
    await storming;
    const ms = await outage();
    say(`  ${i % 2 === 0 ? 'database' : 'server'} killed: no save was stored for ${(ms / 1000).toFixed(1)} s`);
    if (soak.isTimed)
      bars.mustInTime(ms < OUTAGE.most, `an outage of less than ${OUTAGE.most / 1000} s (${Math.round(ms)} ms)`, use);
  }
  measures.tell('kills');
  bars.must(server.restarts() - restarts === asked, 'the server was started again only where it was killed');
  await checkWrites(users, bars, 'kills');
}

/** Users save as fast as they can until they are told to stop. */
function writing(users: readonly User[], processors: Processors): () => Promise<Measures> {
  const measures = new Measures(processors.since());
  let isOver = false;
  const work = users.map(async (user) => {
    while (!isOver) {
      measures.note('saves', await user.save());
      await pause(20);
    }
  });
  return async () => {
    isOver = true;
    await Promise.all(work);
    return measures;
  };
}

/** Connections cut off and databases killed under eight writers: the server goes on. */
export async function lostConnections(soak: Soak): Promise<void> {
  const { opened, server, bars, size } = soak;
  const rounds = { cuts: atLeast(30, size), kills: atLeast(5, size) };
  say(`• ${rounds.cuts} rounds of connections cut off, ${rounds.kills} databases killed, under 8 writers…`);
  const users = soak.users.slice(0, 8);
  const before = server.pids();
  const stop = writing(users, soak.processors);
  for (let i = 0; i < rounds.cuts; i++) {
    await pause(150);
    await psql(
      opened.bin,
      withDatabase(opened.adminUrl, 'postgres'),
      `select count(pg_terminate_backend(pid)) from pg_stat_activity where usename = 'scabbard_app';`,
    );
  }
  for (let i = 0; i < rounds.kills; i++) {
    killDatabase(opened);
    await pause(3500);
  }
  const measures = await stop();
  measures.tell('lost connections');
  bars.must(measures.countOf(isBroken) === 0, 'lost connections: refused with 503, never otherwise');
  bars.must(samePids(server, before), 'lost connections: the server keeps its process');
  await checkWrites(users, bars, 'lost connections');
}

/** Backups beside ten writers, each of them restored, the last one in the place of the database in use. */
export async function backups(soak: Soak): Promise<void> {
  const { opened, server, bars, size, folder } = soak;
  const count = Math.max(2, Math.round(20 * size));
  say(`• ${count} backups beside 10 writers, and a restore…`);
  const users = soak.users.slice(0, 10);
  const before = server.pids();
  const stop = writing(users, soak.processors);
  const ready = (ownerUrl: string) => bringUpToDate({ bin: opened.bin, ownerUrl }, 'soak', { isCopy: true });
  const maintenance = withDatabase(opened.adminUrl, 'postgres');
  let file = '';
  for (let i = 0; i < count; i++) {
    file = join(folder, `backup-${i}.dump`);
    await backUp(opened.bin, opened.ownerUrl, file);
    // each is read into a database of its own, where it takes the place of an empty one
    const beside = `beside_${i}`;
    await psql(opened.bin, maintenance, `create database ${beside} owner ${new URL(opened.ownerUrl).username};`);
    const [adminUrl, ownerUrl] = [opened.adminUrl, opened.ownerUrl].map((url) => withDatabase(url, beside));
    const old = await restore({ bin: opened.bin, adminUrl: adminUrl ?? '', ownerUrl: ownerUrl ?? '' }, file, ready);
    const kitchens = Number(await psql(opened.bin, adminUrl ?? '', 'select count(*) from kitchen;'));
    bars.must(kitchens > 0, `backup ${i} holds kitchens`);
    await psql(opened.bin, maintenance, `drop database ${beside}; drop database ${old};`);
  }
  const written = await stop();
  written.tell('backups');
  bars.must(written.countOf((status) => status !== 200) === 0, 'backups: every save beside them is stored');
  await checkWrites(users, bars, 'backups');

  const going = writing(users, soak.processors);
  await pause(300);
  await restore(opened, file, ready);
  await pause(1500);
  const during = await going();
  during.tell('restore');
  bars.must(samePids(server, before), 'restore: the server keeps its process');
  bars.must(during.countOf(isBroken) === 0, 'restore: refused with 503 or as changed elsewhere, never otherwise');
  const after = new User(soak.port, 1, 7);
  await after.begin();
  bars.must((await after.save()).status === 200, 'restore: the server goes on storing');
}

const LONG_BODY = 1_250_000;

/** Long bodies of one client to a kitchen that is not there, and to one that is, while another one saves. */
export async function longBodies(soak: Soak): Promise<void> {
  const { port, bars, users, size, isTimed } = soak;
  const count = Math.max(40, Math.round(160 * size));
  const [honest] = users;
  if (!honest) return;
  const tasks = Array.from({ length: 60 }, () => ({ id: 'onion-dice', amount: 12.345678901234567 }));
  const ownDishes = Array.from({ length: 390 }, (_, i) => ({ id: `d${i}`, name: 'Stew', tasks }));
  const long = JSON.stringify({
    version: 1,
    kitchen: { format: 'scabbard.kitchen', version: 1, cooking: { ownDishes } },
  }).padEnd(LONG_BODY, ' ');
  const flooder = new User(port, 1, 6);
  await flooder.begin();
  for (const path of ['/api/kitchens/00000000-0000-4000-8000-000000000000', `/api${flooder.path}`]) {
    say(
      `• ${count} bodies of ${LONG_BODY / 1e6} MB to ${path.endsWith('0000') ? 'no kitchen' : 'a kitchen of one’s own'}…`,
    );
    const flood = new Measures(soak.processors.since());
    const saves = new Measures(soak.processors.since());
    let isOver = false;
    const saving = (async () => {
      while (!isOver) {
        saves.note('saves', await honest.save());
        await pause(20);
      }
    })();
    for (let wave = 0; wave < 4; wave++)
      await Promise.all(
        Array.from({ length: count }, async () => {
          const answer = await ask({ port, client: `10.6.6.${wave}`, cookie: flooder.cookie }, 'PUT', path, long);
          flood.note('saves', answer);
        }),
      );
    isOver = true;
    await saving;
    flood.tell('flood');
    saves.tell('saves beside it');
    bars.must(flood.countOf((status) => status >= 500 && status !== 503) === 0, 'a flood is never answered with 500');
    bars.must(
      saves.countOf((status) => status !== 200 && status !== 503) === 0,
      'a save beside a flood is saved, or told to come again',
    );
    bars.mustInTime(
      saves.countOf((status) => status === 503) === 0,
      'a save beside a flood is never told to come again',
      saves.use,
    );
    const slowest = quantile(saves.times(isServed), 0.95);
    if (isTimed)
      bars.mustInTime(
        slowest < 1000,
        `a save beside a flood has a p95 under 1 s (${slowest.toFixed(0)} ms)`,
        saves.use,
      );
  }
}

/** How long /health takes while something long is made, ms. */
async function healthDuring(port: number, work: Promise<unknown>): Promise<number[]> {
  const times: number[] = [];
  let isOver = false;
  const watch = (async () => {
    while (!isOver) {
      const { ms } = await ask({ port, client: '10.5.5.5' }, 'GET', '/health');
      times.push(ms);
      await pause(10);
    }
  })();
  await work;
  isOver = true;
  await watch;
  return times;
}

/** As much text as a plan may hold. */
const MUCH = Array.from({ length: 950 }, () => ({
  task: 'onion-dice',
  minutesPerWeek: 1,
  score: 50,
  why: 'long words of text '.repeat(105).slice(0, 2000),
}));

/** A plan on paper with some text added to what it warns of. */
function paperWith(plan: Plan, warnings: string[]): string {
  const asked = { briefs: [], owned: [], care: [], kinds: ['plan', 'shopping', 'care'], paper: 'a4', withPrices: true };
  return JSON.stringify({ ...asked, plan: { ...plan, warnings } });
}

/** Sheets with very long words and very much text, a shown plan of many steps and a long calendar, while the server has to stay awake. */
export async function longDocuments({ port, bars, isTimed, processors }: Soak): Promise<void> {
  say('• documents that take long…');
  const user = new User(port, 1, 5);
  await user.begin();
  const plan = planKitchen(emptyKitchen('Soak'), reference, shippedModels, { perturbed: 0 });
  const steps = Array.from({ length: 25 }, () => plan.steps)
    .flat()
    .slice(0, 200);
  const days = Array.from({ length: 600 }, (_, i) => ({
    date: daysLater('2026-01-01', i),
    title: 'Sharpen the gyuto, 210 mm',
    why: 'Due about every 13 weeks. '.repeat(20),
  }));
  const pathIn = ({ text }: Answer) => z.object({ path: z.string() }).parse(JSON.parse(text)).path;
  const show = JSON.stringify({
    plan: { ...plan, steps: steps.map((step, i) => ({ ...step, order: i + 1 })) },
    withPrices: true,
    days: 9,
  });
  const shown = pathIn(await user.ask('POST', `/api${user.path}/shown`, show));
  const calendar = pathIn(await user.ask('POST', `/api${user.path}/calendar`, JSON.stringify({ days })));
  for (const [what, method, path, body] of [
    ['46 kB without a space', 'POST', '/api/paper', paperWith(plan, Array<string>(23).fill('x'.repeat(2000)))],
    [
      '300 kB of text',
      'POST',
      '/api/paper',
      paperWith(plan, Array<string>(150).fill('long words of text '.repeat(105))),
    ],
    ['1.9 MB of text', 'POST', '/api/paper', paperWith({ ...plan, unserved: MUCH }, [])],
    ['a usual plan', 'POST', '/api/paper', paperWith(plan, [])],
    ['a shown plan of 200 steps', 'GET', shown, undefined],
    ['a calendar of 600 days', 'GET', calendar, undefined],
  ] as const) {
    const use = processors.since();
    const work = user.ask(method, path, body);
    const times = await healthDuring(port, work);
    const { status, ms } = await work;
    const slowest = Math.max(...times);
    say(`  ${what}: ${status} after ${ms.toFixed(0)} ms; /health at most ${slowest.toFixed(0)} ms`);
    bars.must(!isBroken(status), `${what} is made, or refused in words`);
    if (isTimed)
      bars.mustInTime(slowest < 50, `while ${what} is made /health answers within 50 ms (${slowest.toFixed(0)})`, use);
  }
}

/** Sends half a request and waits; how long until the server gives it up, s. */
export function dawdle(port: number): Promise<number> {
  const began = performance.now();
  return new Promise((resolve) => {
    const socket = connect({ port, host: '127.0.0.1' });
    socket.on('error', () => undefined);
    socket.once('close', () => resolve((performance.now() - began) / 1000));
    socket.write(
      `PUT /api/kitchens/x HTTP/1.1\r\nHost: 127.0.0.1:${port}\r\nOrigin: http://127.0.0.1:${port}\r\nContent-Length: 1000\r\n\r\n{`,
    );
    socket.resume();
  });
}

/** Fills the disk of the database: writing is refused, reading goes on, and writing goes on once there is room. */
export async function fullDisk({ users, bars, random, folder }: Soak): Promise<void> {
  const ballast = join(folder, 'ballast');
  succeeds('dd', ['if=/dev/zero', `of=${ballast}`, 'bs=1M']);
  const tasks = () => Array.from({ length: 60 }, () => ({ id: 'onion-dice', amount: random() * 1000 }));
  let refused: number | null = null;
  for (let i = 0; i < 150 && refused === null; i++) {
    const ownDishes = Array.from({ length: 300 }, (_, d) => ({ id: `d${d}`, name: 'Stew', tasks: tasks() }));
    const kitchen = { format: 'scabbard.kitchen', version: 1, cooking: { ownDishes } };
    const user = users[i % users.length];
    const answer = await user?.ask('POST', '/api/kitchens', JSON.stringify({ from: 'file', kitchen }));
    if (answer && answer.status !== 201) refused = answer.status;
  }
  say(`  full disk: writing was answered ${refused ?? 'as ever: it was not filled'}`);
  bars.must(refused === 507 || refused === 503, 'a full disk answers 507 or 503');
  await pause(3000);
  let read = 0;
  for (const user of users.slice(0, 20)) if ((await user.ask('GET', user.path)).status === 200) read++;
  bars.must(read === 20, `a full disk leaves reading alone (${read} of 20 pages)`);
  rmSync(ballast);
  const end = performance.now() + 20_000;
  let again = 0;
  while (again !== 200 && performance.now() < end) {
    await pause(500);
    again = (await users[0]?.save())?.status ?? 0;
  }
  bars.must(again === 200, 'writing goes on once there is room again');
}
