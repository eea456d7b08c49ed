// Runs cli/NAME.ts.
import { existsSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundled } from './lib/bundle.mjs';
import { root } from './lib/paths.mjs';

const entry = `cli/${process.argv[2] ?? ''}.ts`;
if (!existsSync(join(root, 'node_modules', 'esbuild'))) {
  process.stderr.write('packages: are not installed; run npm start (or npm ci) once\n');
  process.exit(2);
}
const program = await bundled(entry, { external: ['highs', 'pdfkit'] });
process.argv.splice(1, 2, join(root, entry));
await import(pathToFileURL(program).href);
