// npm run -s schemas: writes what is generated: the JSON Schemas of the file formats into docs/schemas, as they are also served under /schemas, their
// tables into docs/formats.md, and the names and facts of the reference that screens need into data.
import { mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { allNames, allTypeFacts } from '../data/allNames';
import { withTables } from './formatTables';
import { jsonSchemaOf, SCHEMA_NAMES } from '../src/core/formats/jsonSchemas';

const root = join(dirname(process.argv[1] ?? ''), '..');
const folder = join(root, 'docs', 'schemas');
mkdirSync(folder, { recursive: true });
for (const name of SCHEMA_NAMES)
  writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(jsonSchemaOf(name), null, 2)}\n`);
for (const [name, value] of [
  ['names', allNames()],
  ['typeFacts', allTypeFacts()],
] as const)
  writeFileSync(join(root, 'data', `${name}.json`), `${JSON.stringify(value, null, 2)}\n`);
const page = join(root, 'docs', 'formats.md');
writeFileSync(page, withTables(readFileSync(page, 'utf8')));
