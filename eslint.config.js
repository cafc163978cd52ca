import js from '@eslint/js';
import a11y from 'eslint-plugin-jsx-a11y';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The rooms of the core in the order a job flows through them. A room may import earlier rooms, never later ones. */
const ROOMS = [
  'lists',
  'length',
  'solid',
  'words',
  'stock',
  'job',
  'ledger',
  'record',
  'piece',
  'work',
  'milling',
  'joinery',
  'finishing',
  'cutting',
  'buying',
  'sawing',
  'building',
  'calendar',
  'strength',
  'checking',
  'formats',
  'rehearsal',
  'contract',
];

const oneWay = ROOMS.map((room, at) => ({
  files: [`core/src/${room}/**/*.ts`],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          {
            group: [
              ...ROOMS.slice(at + 1).flatMap((later) => [
                `../${later}`,
                `../${later}/*`,
                `../../${later}`,
                `../../${later}/*`,
              ]),
              '../plan',
              '../../plan',
              '../costing',
              '../../costing',
              '../index',
            ],
            message: `The room "${room}" may only import rooms before it.`,
          },
          {
            group: ['react*', 'express*', 'knex*', 'node:*', '@sill/*', '**/server/**', '**/web/**'],
            message: 'The core stands alone.',
          },
        ],
      },
    ],
  },
}));

/** What stands behind the plan: it asks for plans and is asked by no room. */
const behind = {
  files: ['core/src/costing/**/*.ts'],
  rules: {
    'no-restricted-imports': [
      'error',
      {
        patterns: [
          { group: ['../contract', '../index', '**/server/**', '**/web/**'], message: 'Costing reads the plan alone.' },
          { group: ['react*', 'express*', 'knex*', 'node:*', '@sill/*'], message: 'The core stands alone.' },
        ],
      },
    ],
  },
};

/**
 * The layers of the web, the lowest first: each may import those before it. Stages know no other stage, pages no other
 * page; what several need lies lower.
 */
const LAYERS = [
  ['platform'],
  ['state'],
  ['words'],
  ['ui'],
  ['drawing'],
  ['sheets'],
  ['stages/shared'],
  ['brief', 'shape', 'parts', 'stock', 'cuts', 'joints', 'build', 'finish', 'days', 'log'].map(
    (stage) => `stages/${stage}`,
  ),
  ['packet', 'yard'],
  ['frame'],
  ['access'],
  ['jobs'],
  ['look'],
];

const FRAME = LAYERS.findIndex(([layer]) => layer === 'frame');

const layered = LAYERS.flatMap((layer, at) =>
  layer.map((folder) => {
    const others = [...layer.filter((one) => one !== folder), ...LAYERS.slice(at + 1).flat()];
    // A stage imports its neighbours without naming their folder.
    const near = others.filter((one) => one.startsWith('stages/')).map((one) => one.slice('stages/'.length));
    return {
      files: [`web/src/${folder}/**/*.{ts,tsx}`],
      ignores: ['**/*.test.{ts,tsx}'],
      rules: {
        'no-restricted-imports': [
          'error',
          {
            patterns: [
              {
                group: [
                  ...others.flatMap((one) => [`**/${one}`, `**/${one}/**`]),
                  ...(folder.startsWith('stages/') ? near.flatMap((one) => [`../${one}`, `../${one}/**`]) : []),
                  // What knows all stages, the frame alone reads.
                  ...(at < FRAME ? ['**/registry'] : []),
                  '**/app',
                  '**/edges',
                  '!./edges',
                ],
                message: `The layer "${folder}" may only import layers before it.`,
              },
              {
                group: ['express*', 'knex*', 'node:*', '**/server/**', '**/core/src/**'],
                message: 'The web reaches the core by its name.',
              },
            ],
          },
        ],
      },
    };
  }),
);

export default tseslint.config(
  { ignores: ['**/dist', '**/node_modules', '.rooms', 'data', 'server/.torture', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      // What must be there is asked for by `first`, `last`, `nth`, `held`, `found` or `sure`, which say what was missing.
      '@typescript-eslint/no-non-null-assertion': 'error',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      // A screen and a half is the aim; what is longer than this can not be read at once.
      'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }],
      // What the formatter can not break: a sentence stays in one piece.
      'max-len': [
        'error',
        { code: 120, ignoreStrings: true, ignoreTemplateLiterals: true, ignoreRegExpLiterals: true },
      ],
      eqeqeq: 'error',
    },
  },
  {
    files: ['**/*.test.{ts,tsx}', '**/testing/**', 'e2e/**', 'bench/**'],
    rules: { 'max-lines-per-function': 'off' },
  },
  {
    files: ['**/*.test.{ts,tsx}', '**/testing/**', '{e2e,bench,torture,house}/**'],
    rules: { '@typescript-eslint/no-non-null-assertion': 'off' },
  },
  // Tests are no components: what the rules of hooks look for is not in them, and looking takes a minute.
  { files: ['web/**/*.{ts,tsx}'], ignores: ['**/*.test.{ts,tsx}'], ...hooks.configs.flat.recommended },
  {
    files: ['web/**/*.tsx'],
    ...a11y.flatConfigs.recommended,
    rules: {
      ...a11y.flatConfigs.recommended.rules,
      // A dialog puts the focus where one goes on.
      'jsx-a11y/no-autofocus': 'off',
      // What scrolls must be reached by keys.
      'jsx-a11y/no-noninteractive-tabindex': 'off',
    },
  },
  ...layered,
  {
    // Workers and the clock come from the store's edges, so that a test hands in its own; their types may be imported.
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['web/src/platform/**', 'web/src/edges.ts', '**/*.test.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              group: ['**/platform/workers/explorer', '**/platform/workers/planner', '**/platform/today'],
              allowTypeImports: true,
              message: 'Ask the edges for it.',
            },
          ],
        },
      ],
    },
  },
  {
    files: ['core/src/*.ts', 'core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'Date'] },
  },
  ...[...oneWay, behind].map((rule) => ({ ...rule, ignores: ['**/*.test.ts', '**/testing/**'] })),
);
