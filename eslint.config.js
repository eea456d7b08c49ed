import astro from 'eslint-plugin-astro';
import boundaries from 'eslint-plugin-boundaries';
import importX from 'eslint-plugin-import-x';
import hooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** The layers, top to bottom; each may use only what is listed for it. */
const LAYERS = {
  pages: ['layouts', 'islands', 'threads', 'server', 'core', 'data'],
  layouts: ['styles'],
  islands: ['islands', 'workers', 'client', 'core', 'data'],
  workers: ['workers', 'client', 'core', 'data'],
  client: ['client', 'offline', 'core'],
  offline: ['offline'],
  paper: ['paper', 'core'],
  threads: ['threads', 'server', 'paper', 'core', 'data'],
  server: ['server', 'db', 'core', 'data'],
  db: ['db', 'core'],
  data: ['data', 'core'],
  cli: ['cli', 'paper', 'core', 'data'],
};
/** The rooms of the core, bottom to top: each may use itself and what stands before it. */
const ROOMS = [
  ...[
    'zod',
    'text',
    'calendar',
    'constants',
    'money',
    'blade',
    'drawing',
    'measure',
    'cutting',
    'catalogue',
    'trial',
    'reference',
    'formats',
    'recipe',
    'kitchen',
    'keeping',
  ],
  ...['load', 'edge', 'fit', 'kit/demand', 'kit/candidates', 'kit/search', 'kit/context', 'kit/offers'],
  ...[
    'kit/robustness',
    'kit/plan',
    'kit/brief',
    'kit/label',
    'kit/shop',
    'kit/drawer',
    'kit/edges',
    'kit/trying',
    'kit/travel',
  ],
];
const ZOD = { name: 'zod', message: 'take it from src/core/zod, which sets it up' };
const room = (name) => `core-${name.replace('/', '-')}`;
const elements = [
  ...ROOMS.map((name) => ({
    type: room(name),
    pattern: `src/core/${name}/**`,
    partialMatch: false,
  })),
  ...['pages', 'layouts', 'islands', 'workers', 'client', 'offline', 'paper', 'threads', 'server', 'db', 'styles'].map(
    (type) => ({
      type,
      pattern: `src/${type}/**`,
      partialMatch: false,
    }),
  ),
  { type: 'data', pattern: 'data/**', partialMatch: false },
  { type: 'cli', pattern: 'cli/**', partialMatch: false },
];
const policy = (from, allow) => ({
  from: { element: { type: from } },
  // one list of types is read many times faster than as many entries
  allow: { to: { element: { type: allow } } },
});
const policies = [
  ...Object.entries(LAYERS).map(([from, allow]) =>
    policy(
      from,
      allow.flatMap((layer) => (layer === 'core' ? ROOMS.map(room) : [layer])),
    ),
  ),
  ...ROOMS.map((name, i) => policy(room(name), ROOMS.slice(0, i + 1).map(room))),
];

export default tseslint.config(
  { ignores: ['node_modules/**', '.data/**', '.astro/**', 'dist/**', 'public/**', 'src/db/migrations/**'] },
  {
    files: ['src/**/*.{ts,tsx}', 'data/**/*.ts', 'cli/**/*.ts', 'e2e/**/*.ts', 'scripts/**/*.ts'],
    extends: [...tseslint.configs.strictTypeChecked],
    languageOptions: { parserOptions: { projectService: true } },
    plugins: { boundaries, 'import-x': importX, 'react-hooks': hooks },
    settings: {
      'boundaries/elements': elements,
      'boundaries/ignore': ['**/*.test.{ts,tsx}', 'src/{core,islands}/testing/**'],
      'import/resolver': { typescript: true },
      'import-x/resolver': { typescript: true },
    },
    rules: {
      ...hooks.configs.recommended.rules,
      'import-x/no-cycle': ['error', { ignoreExternal: true }],
      'boundaries/dependencies': ['error', { default: 'disallow', policies }],
      '@typescript-eslint/no-explicit-any': 'error',
      // `import { type X }` would keep the module in the bundle
      '@typescript-eslint/no-import-type-side-effects': 'error',
      '@typescript-eslint/consistent-type-assertions': ['error', { assertionStyle: 'as' }],
      '@typescript-eslint/restrict-template-expressions': ['error', { allowNumber: true, allowBoolean: true }],
      '@typescript-eslint/no-confusing-void-expression': 'off',
      '@typescript-eslint/no-unnecessary-condition': 'off',
      'no-restricted-imports': ['error', { paths: [ZOD] }],
    },
  },
  {
    // what does one thing fits on a screen
    files: ['src/**/*.{ts,tsx}', 'data/**/*.ts', 'cli/**/*.ts'],
    ignores: ['**/*.test.{ts,tsx}'],
    rules: { 'max-lines-per-function': ['error', 60], 'max-params': ['error', 5] },
  },
  { files: ['src/core/zod/**'], rules: { 'no-restricted-imports': 'off' } },
  {
    // the core knows no screen, server, database, file or clock
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/testing/**', 'src/core/zod/**'],
    rules: {
      'no-restricted-imports': [
        'error',
        {
          paths: [ZOD],
          patterns: ['node:*', 'react*', 'astro*', '@mantine/*', 'drizzle-orm*', 'pg', 'comlink', '**/data/*'],
        },
      ],
      'no-restricted-globals': ['error', 'window', 'document', 'fetch', 'localStorage', 'process', 'Date'],
      'no-restricted-properties': ['error', { object: 'Math', property: 'random', message: 'pass a seed' }],
    },
  },
  {
    files: ['scripts/**/*.mjs'],
    // what is handed to a page runs there
    languageOptions: {
      globals: { ...globals.nodeBuiltin, document: 'readonly', scrollTo: 'readonly', scrollY: 'readonly' },
    },
    rules: { 'no-undef': 'error', 'no-unused-vars': 'error' },
  },
  ...astro.configs.recommended,
);
