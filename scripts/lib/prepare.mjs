import { join } from 'node:path';
import { ensureBuild } from './build.mjs';
import { openDatabase } from './cluster.mjs';
import { withLock } from './lock.mjs';
import { checkNode, ensurePackages } from './packages.mjs';
import { dataFolder, root } from './paths.mjs';
import { run } from './run.mjs';
import { say } from './say.mjs';

/**
 * Everything a server needs: packages, database (migrated and filled) and build. Idempotent; safe beside another command doing the same.
 * What must be stopped at the end is added to `stops` as soon as it runs.
 */
export async function prepare({ cluster, database, stops }) {
  checkNode();
  return withLock(join(dataFolder, 'preparing.lock'), async () => {
    await ensurePackages();
    const given = cluster === 'app' ? process.env.DATABASE_URL : undefined;
    const opened = given ? { url: given, stop: async () => {} } : await openDatabase(cluster, database);
    stops.push(opened.stop);
    say('• bringing the database up to date…');
    await run(process.execPath, ['--import', 'tsx', join(root, 'scripts', 'fill-database.ts')], {
      cwd: root,
      env: { ...process.env, DATABASE_URL: opened.url },
    });
    return { url: opened.url, entry: await ensureBuild() };
  });
}
