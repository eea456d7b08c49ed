// npm run backup [-- FILE]: writes everything in the database to a file, also while the server runs.
import { resolve } from 'node:path';
import { backUp, usualFile } from '../lib/backups';
import { openFor } from '../lib/prepare';
import { say } from '../lib/say.mjs';
import type { Stops } from '../lib/stops.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';
const file = process.argv[2] ? resolve(process.argv[2]) : usualFile(cluster);

export default async function backup(stops: Stops): Promise<void> {
  const { bin, ownerUrl } = await openFor(cluster, 'scabbard', { stops });
  await backUp(bin, ownerUrl, file);
  say(`Backed up to ${file}`);
}
