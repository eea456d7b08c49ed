// npm run dev: the database of npm start, brought up to date, and pages rebuilt as their sources change.
import { join } from 'node:path';
import { execa } from 'execa';
import { root } from '../lib/paths.mjs';
import { bringUpToDate, openFor } from '../lib/prepare';
import type { Stops } from '../lib/stops.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

export default async function dev(stops: Stops): Promise<void> {
  const opened = await openFor(cluster, 'scabbard', { stops, keep: true });
  await bringUpToDate(opened, cluster);
  const astro = execa(process.execPath, [join(root, 'node_modules', 'astro', 'astro.js'), 'dev'], {
    cwd: root,
    env: { DATABASE_URL: opened.url, ASTRO_TELEMETRY_DISABLED: '1' },
    stdio: 'inherit',
    reject: false,
  });
  stops.push(() => Promise.resolve(void astro.kill()));
  await astro;
}
