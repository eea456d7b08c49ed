// npm run -s pin: writes the pinned scores, edges and plans as they stand now, and says how many lines moved.
import { existsSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { agree, parseSheet, SHEETS } from '../data/pinned';

for (const [name, lines] of Object.entries(SHEETS)) {
  const path = join(dirname(process.argv[1] ?? ''), '..', 'data', 'pinned', `${name}.tsv`);
  const before = existsSync(path) ? parseSheet(readFileSync(path, 'utf8')) : new Map<string, string>();
  const now = [...lines()];
  const moved = now.filter(([key, value]) => !agree(before.get(key) ?? '', value));
  writeFileSync(path, `${now.map((line) => line.join('\t')).join('\n')}\n`);
  console.log(`${name}: ${now.length} lines, ${moved.length} moved`);
  for (const [key, value] of name === 'plans' ? moved : [])
    console.log(`  ${key}\n  - ${before.get(key) ?? ''}\n  + ${value}`);
}
