import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** Modules of shipped data that parse what they export. */
const CHECKED = ['referenceRows', 'models', 'handChecks'].map((name) =>
  fileURLToPath(new URL(`../../data/${name}.ts`, import.meta.url)),
);

/** What a checked module exports, by name. */
const exportsOf = async (id) =>
  Object.entries(await tsImport(id, import.meta.url)).filter(([name]) => name !== 'default');

/** The line that exports something as JSON. */
const asJson = ([name, value]) => `export const ${name} = JSON.parse(${JSON.stringify(JSON.stringify(value))});`;

/**
 * Shipped data come out of their schemas when the site is built, so that neither the browser nor a starting server parses them again: within the
 * script, or (`fetched`) as a file beside it, named by its content.
 */
export const checkedData = ({ fetched = false } = {}) => ({
  name: 'checked-data',
  apply: 'build',
  enforce: 'pre',
  async load(id, { ssr } = {}) {
    if (!CHECKED.includes(id)) return null;
    const lines = (await exportsOf(id)).map(([name, value]) => {
      if (!fetched || ssr) return asJson([name, value]);
      const file = this.emitFile({ type: 'asset', name: `${name}.json`, source: JSON.stringify(value) });
      return `export const ${name} = await fetch(import.meta.ROLLUP_FILE_URL_${file}).then((answer) => answer.json());`;
    });
    return { code: lines.join('\n'), map: null };
  },
});

/** The same for programs that esbuild bundles. */
export const bundledData = {
  name: 'checked-data',
  setup(build) {
    build.onLoad({ filter: /\/data\/\w+\.ts$/ }, async ({ path }) =>
      CHECKED.includes(path) ? { contents: (await exportsOf(path)).map(asJson).join('\n'), loader: 'js' } : undefined,
    );
  },
};
