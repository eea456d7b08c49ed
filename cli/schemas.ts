// npm run -s schemas: writes the JSON Schemas of the file formats into docs/schemas, as they are also served under /schemas.
import { mkdirSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';
import { jsonSchemaOf, SCHEMA_NAMES } from '../src/core/formats/jsonSchemas';

const folder = join(dirname(process.argv[1] ?? ''), '..', 'docs', 'schemas');
mkdirSync(folder, { recursive: true });
for (const name of SCHEMA_NAMES)
  writeFileSync(join(folder, `${name}.json`), `${JSON.stringify(jsonSchemaOf(name), null, 2)}\n`);
