// node scripts/run.mjs NAME …: runs a command of scripts/commands. This file and the .mjs files it takes from lib need nothing but Node: they install
// the packages that everything else is made with.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { withLock } from './lib/lock.mjs';
import { checkNode, ensurePackages } from './lib/packages.mjs';
import { dataFolder, root } from './lib/paths.mjs';
import { main } from './lib/say.mjs';
import { withStops } from './lib/stops.mjs';

const [name] = process.argv.splice(2, 1);

await main(() =>
  withStops(async (stops, isEnding) => {
    checkNode();
    await withLock(join(dataFolder, 'preparing.lock'), ensurePackages);
    const { register } = await import('tsx/esm/api');
    register();
    const file = ['ts', 'mjs'].map((end) => join(root, 'scripts', 'commands', `${name}.${end}`)).find(existsSync);
    const { default: command } = await import(file);
    await command(stops, isEnding);
  }),
);
