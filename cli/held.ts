// Whether the scores, edges and plans still stand as they were pinned: stops with 1 at the first line that moved. The broken rules of
// scripts/mutate.mjs are tried against it.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { agree, parseSheet, SHEETS } from '../data/pinned';

for (const [name, lines] of Object.entries(SHEETS)) {
  const pinned = parseSheet(readFileSync(join(process.cwd(), 'data', 'pinned', `${name}.tsv`), 'utf8'));
  for (const [key, value] of lines())
    if (!agree(pinned.get(key) ?? '', value)) {
      console.log(`${name}: ${key}`);
      process.exit(1);
    }
}
