// npm run soak [-- SECONDS | tenth]: a bounded storm on loopback, on a database of its own: many users, lost connections, kills of server and database,
// backups beside writers, floods of long bodies, odd files and a full disk. Prints what was asked, how long it took, how busy the machine was and what
// was lost; ends with 1 where a bar is missed. `tenth` tries a tenth of everything and holds no times against their bars.
import { existsSync, mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { setTimeout as pause } from 'node:timers/promises';
import { seeded } from '../../src/core/kit/robustness/random';
import { dataFolder } from '../lib/paths.mjs';
import { nextFree } from '../lib/ports.mjs';
import { prepare } from '../lib/prepare';
import { succeeds } from '../lib/run.mjs';
import { say } from '../lib/say.mjs';
import { User } from '../lib/soak/client';
import { fuzz } from '../lib/soak/fuzz';
import { Bars } from '../lib/soak/measures';
import { Processors } from '../lib/soak/processors';
import * as phases from '../lib/soak/phases';
import type { Stops } from '../lib/stops.mjs';
import { serve } from '../server/supervise';

const USERS = 200;
const FILES = 10_000;
const DISK = '500m';
const CLUSTER = 'soak';
const SEED = 20;
const place = join(dataFolder, CLUSTER);

const [asked] = process.argv.slice(2);
const isTenth = asked === 'tenth';
const size = isTenth ? 0.1 : 1;
const seconds = isTenth ? 3 : Number(asked) || 30;

/** A little file system for the database, so that its disk can be filled; none where this user may not mount one. */
function smallDisk(): boolean {
  // one that a soak left behind which was cut off
  succeeds('umount', ['-l', place]);
  rmSync(place, { recursive: true, force: true });
  mkdirSync(place, { recursive: true });
  return succeeds('mount', ['-t', 'tmpfs', '-o', `size=${DISK}`, 'tmpfs', place]);
}

/** Half a request is given up after a while, so that nobody holds a connection for ever. */
async function dawdled(bars: Bars, given: Promise<number>): Promise<void> {
  const after = await Promise.race([given, pause(75_000, null, { ref: false })]);
  say(`  half a request was given up after ${after === null ? 'more than 75' : after.toFixed(0)} s`);
  bars.must(after !== null, 'half a request is given up');
}

async function storms(stops: Stops, bars: Bars): Promise<phases.Soak> {
  const opened = await prepare({ cluster: CLUSTER, database: 'scabbard', stops, keep: true });
  const port = await nextFree(4800);
  const log = join(dataFolder, 'soak.log');
  const serving = { databaseUrl: opened.url, port, log, env: { TRUST_PROXY: '1' } };
  const server = await serve(opened.entry, serving);
  stops.push(server.stop);
  const folder = mkdtempSync(join(tmpdir(), 'scabbard-soak-'));
  stops.push(() => Promise.resolve(rmSync(folder, { recursive: true, force: true })));
  const users = Array.from({ length: isTenth ? 40 : USERS }, (_, number) => new User(port, number));
  for (const user of users) await user.begin();
  const processors = new Processors(place);
  const random = seeded(SEED);
  const soak = { opened, server, port, bars, random, users, size, isTimed: !isTenth, processors, folder };

  const given = isTenth ? null : phases.dawdle(port);
  await phases.calm(soak, 60, seconds);
  if (given) await dawdled(bars, given);
  await phases.kills(soak);
  await phases.lostConnections(soak);
  await phases.longBodies(soak);
  await phases.longDocuments(soak);
  say(`• ${FILES * size} files made from the schemas…`);
  await fuzz(users, { count: FILES * size, port, random: soak.random, bars });
  await phases.backups(soak);
  return soak;
}

/** The same users on two processes, at paces that one could not keep. */
async function overload(soak: phases.Soak, stops: Stops): Promise<void> {
  const port = await nextFree(4850);
  const log = join(dataFolder, 'soak.log');
  const server = await serve(soak.opened.entry, {
    databaseUrl: soak.opened.url,
    port,
    log,
    servers: 2,
    env: { TRUST_PROXY: '1' },
  });
  stops.push(server.stop);
  const users = Array.from({ length: USERS }, (_, number) => new User(port, number, 1));
  for (const user of users) await user.begin();
  for (const aSecond of [200, 600]) await phases.calm({ ...soak, server, port, users }, aSecond, seconds);
}

export default async function soakCommand(stops: Stops): Promise<void> {
  const bars = new Bars();
  const isSmall = smallDisk();
  if (isSmall) stops.push(() => Promise.resolve(succeeds('umount', ['-l', place])));
  const soak = await storms(stops, bars);
  if (!isTenth) await overload(soak, stops);
  if (isSmall && existsSync(join(place, 'cluster'))) {
    say('• a full disk…');
    await phases.fullDisk({ ...soak, folder: place });
  } else say('• a full disk: not tried, this user may not mount a small file system');
  say(bars.missed.length === 0 ? '\nEvery bar holds.' : `\nMissed:\n- ${bars.missed.join('\n- ')}`);
  if (bars.unjudged.length > 0)
    say(`Not judged, because other programs kept the machine busy:\n- ${bars.unjudged.join('\n- ')}`);
  process.exitCode = bars.missed.length === 0 ? 0 : 1;
}
