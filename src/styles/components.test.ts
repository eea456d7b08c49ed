import { existsSync, readdirSync, readFileSync } from 'node:fs';
import { join } from 'node:path';
import { expect, test } from 'vitest';

const root = join(import.meta.dirname, '..', '..');
const styles = join(root, 'node_modules', '@mantine', 'core', 'styles');
const listed = [
  ...readFileSync(join(import.meta.dirname, 'components.css'), 'utf8').matchAll(/styles\/([\w-]+)\.css/g),
].map(([, name = '']) => name);

/** What the screens take of the interface library, with parts of parts: Radio and Radio.Card. */
function taken(): Set<string> {
  const found = new Set<string>();
  for (const file of readdirSync(join(root, 'src'), { recursive: true, encoding: 'utf8' })) {
    if (!file.endsWith('.tsx')) continue;
    const source = readFileSync(join(root, 'src', file), 'utf8');
    for (const [, names = ''] of source.matchAll(/import \{([^}]*)\} from '@mantine\/core'/g))
      for (const name of names.split(',').map((each) => each.trim())) {
        found.add(name);
        for (const [, part = ''] of source.matchAll(new RegExp(`<${name}\\.(\\w+)`, 'g'))) found.add(`${name}${part}`);
      }
  }
  return found;
}

test('every component in use has its styles, in the order of the library', () => {
  const styled = [...taken()].filter((name) => existsSync(join(styles, `${name}.css`)));
  expect(styled).toContain('RadioCard');
  expect(styled.filter((name) => !listed.includes(name))).toEqual([]);
  const all = readFileSync(join(styles, '..', 'styles.css'), 'utf8');
  const places = listed.slice(3).map((name) => {
    const [first = name] = /\.m_\w+/.exec(readFileSync(join(styles, `${name}.css`), 'utf8')) ?? [];
    return all.indexOf(first);
  });
  expect(places).toEqual([...places].sort((a, b) => a - b));
});
