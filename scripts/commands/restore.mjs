// npm run restore -- FILE: puts the database of a backup in the place of the present one, which keeps its data under another name.
import { restore } from '../lib/backups.mjs';
import { bringUpToDate, openFor } from '../lib/prepare.mjs';
import { say, Stop } from '../lib/say.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';
const [file] = process.argv.slice(2);

export default async function (stops) {
  if (!file) throw new Stop('Which backup? Run: npm run restore -- FILE');
  const opened = await openFor(cluster, 'scabbard', { stops });
  const before = await restore(opened, file);
  await bringUpToDate(opened, cluster);
  say(`Restored from ${file}. What stood there before is kept as the database ${before}.`);
}
