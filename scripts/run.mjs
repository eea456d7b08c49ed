// node scripts/run.mjs NAME …: runs a command of scripts/commands. This file and what it takes from lib need nothing but Node: they install the packages
// that everything else is made with.
import { join } from 'node:path';
import { withLock } from './lib/lock.mjs';
import { checkNode, ensurePackages } from './lib/packages.mjs';
import { dataFolder } from './lib/paths.mjs';
import { main } from './lib/say.mjs';
import { withStops } from './lib/stops.mjs';

const [name] = process.argv.splice(2, 1);

await main(() =>
  withStops(async (stops, isEnding) => {
    checkNode();
    await withLock(join(dataFolder, 'preparing.lock'), ensurePackages);
    const { default: command } = await import(`./commands/${name}.mjs`);
    await command(stops, isEnding);
  }),
);
