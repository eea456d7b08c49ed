// npm run backup [-- FILE]: writes everything in the database to a file, also while the server runs.
import { resolve } from 'node:path';
import { backUp, usualFile } from '../lib/backups.mjs';
import { openFor } from '../lib/prepare.mjs';
import { say } from '../lib/say.mjs';

const cluster = process.env.SCABBARD_CLUSTER ?? 'app';
const file = process.argv[2] ? resolve(process.argv[2]) : usualFile(cluster);

export default async function (stops) {
  const { bin, adminUrl } = await openFor(cluster, 'scabbard', { stops });
  await backUp(bin, adminUrl, file);
  say(`Backed up to ${file}`);
}
