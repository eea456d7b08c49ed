// npm run dev: the database of npm start, brought up to date, and pages made anew as their sources change.
import { join } from 'node:path';
import { execa } from 'execa';
import { root } from '../lib/paths.mjs';
import { bringUpToDate, openFor } from '../lib/prepare.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

export default async function (stops) {
  const opened = await openFor(cluster, 'scabbard', { stops, keep: true });
  await bringUpToDate(opened, cluster);
  const astro = execa(process.execPath, [join(root, 'node_modules', 'astro', 'astro.js'), 'dev'], {
    cwd: root,
    env: { DATABASE_URL: opened.url, ASTRO_TELEMETRY_DISABLED: '1' },
    stdio: 'inherit',
    reject: false,
  });
  stops.push(async () => void astro.kill());
  await astro;
}
