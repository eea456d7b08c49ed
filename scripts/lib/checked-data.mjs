import { fileURLToPath } from 'node:url';
import { tsImport } from 'tsx/esm/api';

/** Modules of shipped data that parse what they export. */
const CHECKED = ['referenceRows', 'models', 'handChecks'].map((name) =>
  fileURLToPath(new URL(`../../data/${name}.ts`, import.meta.url)),
);

/**
 * Shipped data reach the browser as they came out of their schemas when the site was built, and bring no schema along: within the script, or (`fetched`)
 * as a file beside it, named by its content.
 */
export const checkedData = ({ fetched = false } = {}) => ({
  name: 'checked-data',
  apply: 'build',
  enforce: 'pre',
  async load(id, { ssr } = {}) {
    if (ssr || !CHECKED.includes(id)) return null;
    const exported = Object.entries(await tsImport(id, import.meta.url)).filter(([name]) => name !== 'default');
    const lines = exported.map(([name, value]) => {
      const json = JSON.stringify(value);
      if (!fetched) return `export const ${name} = JSON.parse(${JSON.stringify(json)});`;
      const file = this.emitFile({ type: 'asset', name: `${name}.json`, source: json });
      return `export const ${name} = await fetch(import.meta.ROLLUP_FILE_URL_${file}).then((answer) => answer.json());`;
    });
    return { code: lines.join('\n'), map: null };
  },
});
