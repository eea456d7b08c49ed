// npm run soak: a bounded storm on loopback, on a database of its own: many users, kills of server and database, odd bodies and a full disk. Prints
// what was asked, how long it took and what was lost; ends with 1 where a bar is missed. `npm run soak -- SECONDS` for a longer storm.
import { existsSync, mkdirSync, readFileSync, rmSync } from 'node:fs';
import { connect } from 'node:net';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { dataFolder } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare.mjs';
import { succeeds } from '../lib/run.mjs';
import { say } from '../lib/say.mjs';
import { serve } from '../lib/serve.mjs';
import { User } from '../lib/soak/client.mjs';
import { oddRequest, randomFrom } from '../lib/soak/fuzz.mjs';

const USERS = 200;
const A_SECOND = 60;
const SECONDS = Number(process.argv[2]) || 30;
const SAVES = 0.4;
const ODD_BODIES = 10_000;
const KILLS = 4;
/** Most time of 95 in 100 answers, ms. */
const BARS = { reads: 100, saves: 200 };
const DISK = '400m';
const CLUSTER = 'soak';
const place = join(dataFolder, CLUSTER);

const random = randomFrom(20);
const share = (sorted, part) => sorted[Math.min(sorted.length - 1, Math.floor(part * sorted.length))] ?? NaN;
const missed = [];
const must = (holds, what) => holds || missed.push(what);

class Times {
  of = { reads: [], saves: [] };
  statuses = new Map();
  note(kind, { status, ms }) {
    this.of[kind].push(ms);
    this.statuses.set(status, (this.statuses.get(status) ?? 0) + 1);
  }
  bad = () => [...this.statuses].filter(([status]) => status === 0 || status >= 500);
  tell(name) {
    for (const [kind, times] of Object.entries(this.of)) {
      if (times.length === 0) continue;
      const sorted = [...times].sort((a, b) => a - b);
      const figures = [0.5, 0.95, 0.99].map((part) => `p${100 * part} ${share(sorted, part).toFixed(0)}`).join(', ');
      say(`  ${name}, ${kind}: ${times.length} requests, ${figures} ms`);
    }
    say(`  ${name}, answers: ${[...this.statuses].map(([status, n]) => `${n} × ${status || 'none'}`).join(', ')}`);
  }
}

const PAGES = ['', '/cutting', '/drawer', '/cooks'];

/** Users ask at the pace of all together, each when it is free, until the time is over. */
async function storm(users, seconds, times) {
  const end = performance.now() + 1000 * seconds;
  const busy = new Set();
  const under = [];
  for (let next = performance.now(); next < end; next += 1000 / A_SECOND) {
    await pause(Math.max(0, next - performance.now()));
    const free = users.filter((user) => !busy.has(user));
    const user = free[Math.floor(random() * free.length)];
    if (!user) continue;
    busy.add(user);
    const saves = random() < SAVES;
    const page = PAGES[Math.floor(random() * PAGES.length)];
    const path = random() < 0.5 ? `${user.path}${page}` : random() < 0.5 ? '/' : `/api${user.path}`;
    const work = (saves ? user.save() : user.ask('GET', path)).then((answer) => {
      times.note(saves ? 'saves' : 'reads', answer);
      busy.delete(user);
    });
    under.push(work);
  }
  await Promise.all(under);
}

/** Asks every user’s kitchen; how many acknowledged writes are gone. */
async function lostOf(users) {
  let lost = 0;
  for (const user of users) {
    let look = await user.lookAgain();
    for (let tries = 0; !look.answered && tries < 50; tries++) {
      await pause(200);
      look = await user.lookAgain();
    }
    if (!look.answered || look.lost) lost++;
  }
  return lost;
}
const saved = (users) => users.reduce((sum, user) => sum + user.edits, 0);

/** A little file system for the cluster, so that its disk can be filled; none where this user may not have one. */
function smallDisk() {
  rmSync(place, { recursive: true, force: true });
  mkdirSync(place, { recursive: true });
  return succeeds('mount', ['-t', 'tmpfs', '-o', `size=${DISK}`, 'tmpfs', place]);
}

async function fullDisk(users, times) {
  const ballast = join(place, 'ballast');
  succeeds('dd', ['if=/dev/zero', `of=${ballast}`, 'bs=1M']);
  const tasks = () => Array.from({ length: 60 }, () => ({ id: 'onion-dice', amount: random() * 1000 }));
  const dishes = () => Array.from({ length: 300 }, (_, i) => ({ id: `d${i}`, name: 'Stew', tasks: tasks() }));
  let refused = null;
  for (let i = 0; i < 150 && !refused; i++) {
    const kitchen = { format: 'scabbard.kitchen', version: 1, cooking: { ownDishes: dishes() } };
    const user = users[i % users.length];
    const answer = await user.ask('POST', '/api/kitchens', JSON.stringify({ from: 'file', kitchen }));
    if (answer.status !== 201) refused = answer.status;
  }
  say(`  full disk: writing was answered ${refused ?? 'as ever: it was not filled'}`);
  must(refused === 507 || refused === 503, 'a full disk answers 507 or 503');
  await pause(3000);
  let read = 0;
  for (const user of users.slice(0, 20)) if ((await user.ask('GET', user.path)).status === 200) read++;
  say(`  full disk: ${read} of 20 pages could be read`);
  must(read === 20, 'a full disk leaves reading alone');
  rmSync(ballast);
  const end = performance.now() + 20_000;
  let again = 0;
  while (again !== 200 && performance.now() < end) {
    await pause(500);
    again = (await users[0].save()).status;
  }
  times.note('saves', { status: again, ms: 0 });
  must(again === 200, 'writing goes on once there is room again');
}

/** Sends half a request and waits; resolves with the seconds until the server gives it up. */
function dawdle(port) {
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

async function round(stops) {
  const { url, entry, pidFile } = await prepare({ cluster: CLUSTER, database: 'scabbard', stops, keep: true });
  const port = await nextFree(4800);
  process.env.TRUST_PROXY = '1';
  const log = join(dataFolder, 'soak.log');
  let server = await serve(entry, { databaseUrl: url, port, log });
  stops.push(() => server.stop());
  const users = Array.from({ length: USERS }, (_, number) => new User({ port }, number));
  for (const user of users) await user.begin();

  say(`• ${USERS} connections, ${A_SECOND} requests a second for ${SECONDS} s…`);
  const calm = new Times();
  const dawdled = dawdle(port);
  await storm(users, 3, new Times());
  await storm(users, SECONDS, calm);
  calm.tell('storm');
  for (const [kind, most] of Object.entries(BARS))
    must(
      share(
        [...calm.of[kind]].sort((a, b) => a - b),
        0.95,
      ) < most,
      `p95 of ${kind} under ${most} ms`,
    );
  must(calm.bad().length === 0, 'no errors in the storm');

  const given = await Promise.race([dawdled, pause(45_000).then(() => null)]);
  say(`  half a request was given up after ${given === null ? 'more than 45' : given.toFixed(0)} s`);
  must(given !== null, 'half a request is given up');

  say(`• the same, with ${KILLS} kills of database and server…`);
  const killed = new Times();
  for (let i = 0; i < KILLS; i++) {
    const storming = storm(users, 6, killed);
    await pause(1500);
    if (i % 2 === 0) process.kill(Number(readFileSync(pidFile, 'utf8').split('\n')[0]), 'SIGKILL');
    else {
      server.kill();
      await server.ended;
      server = await serve(entry, { databaseUrl: url, port, log });
    }
    await storming;
  }
  killed.tell('kills');
  const lost = await lostOf(users);
  say(`  writes sent: ${saved(users)}; acknowledged writes lost: ${lost}`);
  must(lost === 0, 'no acknowledged write is lost');

  say(`• ${ODD_BODIES} odd bodies…`);
  const odd = new Times();
  const queue = Array.from({ length: ODD_BODIES }, (_, i) => users[i % users.length]);
  await Promise.all(
    users.slice(0, 20).map(async () => {
      for (let user = queue.pop(); user; user = queue.pop()) {
        const { method, path, body } = oddRequest(user, random);
        odd.note('saves', await user.ask(method, path, body));
      }
    }),
  );
  odd.tell('odd bodies');
  must(odd.bad().length === 0, 'no odd body is answered 5xx');
  return { users, calm };
}

export default async function (stops) {
  const small = smallDisk();
  if (small) stops.push(async () => void succeeds('umount', ['-l', place]));
  const { users, calm } = await round(stops);
  if (small && existsSync(join(place, 'cluster'))) {
    say('• a full disk…');
    await fullDisk(users, calm);
  } else say('• a full disk: not tried, this user may not mount a small file system');
  say(missed.length === 0 ? '\nEvery bar holds.' : `\nMissed: ${missed.join('; ')}.`);
  process.exitCode = missed.length === 0 ? 0 : 1;
}
