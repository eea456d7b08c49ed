// One file with one change, for the bundler and for the test runner.
import { readFileSync } from 'node:fs';

function changed({ path, from, to }) {
  const text = readFileSync(path, 'utf8');
  if (text.slice(from.index, from.index + from.text.length) !== from.text)
    throw new Error(`mutate: ${path} has changed meanwhile`);
  return text.slice(0, from.index) + to + text.slice(from.index + from.text.length);
}

export function mutantOf(mutant) {
  return {
    forEsbuild: {
      name: 'mutant',
      setup({ onLoad }) {
        onLoad({ filter: /\.ts$/ }, ({ path }) =>
          path === mutant.path ? { contents: changed(mutant), loader: 'ts' } : undefined,
        );
      },
    },
    forVite: {
      name: 'mutant',
      enforce: 'pre',
      load: (id) => (id.split('?')[0] === mutant.path ? changed(mutant) : null),
    },
  };
}
