import fs from 'node:fs';
import next from 'eslint-config-next/core-web-vitals';
import nextTs from 'eslint-config-next/typescript';

/** Imports run one way: app -> features -> ui -> core; app -> server -> db, standins -> core. */
const zone = (target, from, message) => ({ target, from, message });
const rooms = (folder) =>
  fs
    .readdirSync(folder, { withFileTypes: true })
    .filter((entry) => entry.isDirectory())
    .map(({ name }) => name);
const may = {
  core: [],
  words: ['core'],
  contract: ['core'],
  db: ['core'],
  standins: ['core'],
  workers: ['core'],
  server: ['core', 'words', 'contract', 'db', 'standins', 'workers'],
  ui: ['core', 'words', 'contract'],
  features: ['core', 'words', 'contract', 'ui', 'workers'],
  app: ['core', 'words', 'contract', 'server', 'ui', 'features'],
  front: ['core', 'words', 'contract', 'db', 'server'],
};
const all = rooms('src');
const unknown = all.filter((room) => may[room] === undefined);
if (unknown.length > 0) throw new Error(`say in eslint.config.mjs what src/${unknown[0]} may import`);
const zones = Object.entries(may).flatMap(([room, allowed]) =>
  all
    .filter((other) => other !== room && !allowed.includes(other))
    .map((other) =>
      zone(`./src/${room}`, `./src/${other}`, `${room} may not import ${other}; see docs/architecture.md`),
    ),
);
const sideways = rooms('src/features').map((name) => ({
  target: `./src/features/${name}`,
  from: './src/features',
  except: [`./${name}`],
  message: 'a feature may not reach sideways into another',
}));

/** A sentence, or a label, that stands in code instead of the catalogue in `words/`. */
const SPOKEN = /^(aria-label|label|title|placeholder|hint|alt)$/;
const LETTERS = /\p{L}{2,}/u;
const SENTENCE = /^[A-Z“][\p{L}’'-]*,? [\p{L}“(]|\p{L}{3,}[.:;!?] [A-Z]/u;
const noSentence = {
  meta: { type: 'problem', messages: { spoken: 'what people read stands in words/, not in code' }, schema: [] },
  create(context) {
    const report = (node) => context.report({ node, messageId: 'spoken' });
    const said = (node, text) => {
      const { parent } = node;
      if (parent.type === 'JSXAttribute' ? SPOKEN.test(parent.name.name) && LETTERS.test(text) : SENTENCE.test(text))
        if (!/^(Import|Export|TSLiteral)/.test(parent.type)) report(node);
    };
    return {
      JSXText: (node) => LETTERS.test(node.value.replace(/&\w+;/g, '')) && report(node),
      Literal: (node) => typeof node.value === 'string' && said(node, node.value),
      TemplateElement: (node) => SENTENCE.test(node.value.raw) && report(node),
    };
  },
};

/** Rules about components; looking for them where none are takes most of the time. */
const ofComponents = Object.fromEntries(
  [...next, ...nextTs]
    .flatMap(({ rules = {} }) => Object.keys(rules))
    .filter((name) => /^(react|react-hooks|jsx-a11y|@next\/next)\//.test(name))
    .map((name) => [name, 'off']),
);

const config = [
  {
    ignores: [
      '.next/**',
      '.build/**',
      'data/**',
      'data-demo/**',
      'data-dev/**',
      'next-env.d.ts',
      'test-results/**',
      'playwright-report/**',
    ],
  },
  ...next,
  ...nextTs,
  {
    files: [
      'src/{core,contract,db,front,server,standins,words,workers}/**',
      '{tests,scripts,demo}/**',
      '*.{ts,mts,mjs}',
    ],
    rules: ofComponents,
  },
  {
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_', varsIgnorePattern: '^_' }],
      // Who is signed in changes everything that was loaded: those three places load the page anew on purpose.
      '@next/next/no-location-assign-relative-destination': 'off',
    },
  },
  {
    files: ['src/**/*.{ts,tsx}'],
    rules: {
      'import/no-restricted-paths': ['error', { zones: [...zones, ...sideways] }],
      '@typescript-eslint/no-explicit-any': 'error',
    },
  },
  {
    files: ['src/features/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: [
                '@/core/cutting/engine',
                '@/core/cutting/baseline',
                '@/core/cutting/*/search',
                '@/core/cutting/*/session',
              ],
              allowTypeImports: true,
              message: 'plans are searched for on the server; a page ships no search',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/features/**/*.{ts,tsx}', 'src/ui/**/*.{ts,tsx}', 'src/app/**/*.tsx', 'src/server/papers/*.ts'],
    ignores: ['**/*.test.{ts,tsx}', 'src/ui/theme.ts'],
    plugins: { words: { rules: { 'no-sentence': noSentence } } },
    rules: { 'words/no-sentence': 'error' },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-imports': [
        'error',
        { patterns: ['react*', 'next*', '@mui/*', '@electric-sql/*', 'node:*', 'fs', 'path', '@/server/*', '@/db/*'] },
      ],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'pass a seed in' },
        { object: 'Date', property: 'now', message: 'pass the time in' },
      ],
      'no-restricted-globals': ['error', 'process', 'fetch', 'window', 'document'],
    },
  },
  {
    files: ['src/**/*.{ts,tsx}', 'demo/**/*.ts'],
    ignores: ['src/db/pglite/**'],
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector: 'ImportDeclaration[source.value=/^@electric-sql/]',
          message: 'the database is reached through src/db/client.ts only',
        },
        {
          selector: "CallExpression[callee.name='dynamic'][arguments.length=1]",
          message:
            'give it a loading: without it the whole page is hidden while it is fetched, and a key typed then is lost',
        },
        {
          selector:
            "CallExpression[callee.name='dynamic'] > ArrowFunctionExpression > CallExpression > MemberExpression > ImportExpression",
          message: 'fetch it with patient: without a connection the whole page would be lost',
        },
      ],
    },
  },
];
export default config;
