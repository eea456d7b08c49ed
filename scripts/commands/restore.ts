// npm run restore -- FILE: puts the database of a backup in the place of the present one, which keeps its data under another name.
import { restore } from '../lib/backups';
import { bringUpToDate, openFor } from '../lib/prepare';
import { say, Stop } from '../lib/say.mjs';
import type { Stops } from '../lib/stops.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';
const [file] = process.argv.slice(2);

export default async function restoreCommand(stops: Stops): Promise<void> {
  if (!file) throw new Stop('Which backup? Run: npm run restore -- FILE');
  const opened = await openFor(cluster, 'scabbard', { stops });
  const before = await restore(opened, file, (ownerUrl) =>
    bringUpToDate({ bin: opened.bin, ownerUrl }, cluster, { isCopy: true }),
  );
  say(`Restored from ${file}. What was there before is kept as the database ${before}.`);
}
