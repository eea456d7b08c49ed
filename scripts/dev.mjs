// npm run dev: the database of npm start, brought up to date, and pages made anew as their sources change.
import { spawn } from 'node:child_process';
import { join } from 'node:path';
import { checkNode, ensurePackages } from './lib/packages.mjs';
import { root } from './lib/paths.mjs';
import { bringUpToDate, openFor } from './lib/prepare.mjs';
import { main } from './lib/say.mjs';
import { withStops } from './lib/stops.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';

await main(() =>
  withStops(async (stops) => {
    checkNode();
    await ensurePackages();
    const opened = await openFor(cluster, 'scabbard', { stops, keep: true });
    await bringUpToDate(opened, cluster);
    const astro = spawn(process.execPath, [join(root, 'node_modules', 'astro', 'astro.js'), 'dev'], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: opened.url, ASTRO_TELEMETRY_DISABLED: '1' },
      stdio: 'inherit',
    });
    stops.push(async () => void astro.kill());
    await new Promise((resolve) => astro.once('exit', resolve));
  }),
);
