import { defineConfig } from 'oxlint';

const TESTS = ['**/*.test.ts', '**/testing/**'];

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
  excludeFiles: TESTS,
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
  excludeFiles: TESTS,
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

/** Workers and the clock come from the store's edges, so that a test hands in its own; their types may be imported. */
const asksEdges = {
  group: ['**/platform/workers/explorer', '**/platform/workers/planner', '**/platform/today'],
  allowTypeImports: true,
  message: 'Ask the edges for it.',
};

const FRAME = LAYERS.findIndex(([layer]) => layer === 'frame');

const layered = LAYERS.flatMap((layer, at) =>
  layer.map((folder) => {
    const others = [...layer.filter((one) => one !== folder), ...LAYERS.slice(at + 1).flat()];
    // A stage imports its neighbours without naming their folder.
    const near = others.filter((one) => one.startsWith('stages/')).map((one) => one.slice('stages/'.length));
    return {
      files: [`web/src/${folder}/**/*.{ts,tsx}`],
      excludeFiles: ['**/*.test.{ts,tsx}'],
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
              ...(folder === 'platform' ? [] : [asksEdges]),
            ],
          },
        ],
      },
    };
  }),
);

const errors = (...names) => Object.fromEntries(names.map((name) => [name, 'error']));

export default defineConfig({
  plugins: ['typescript'],
  categories: { correctness: 'error' },
  options: { typeAware: true, reportUnusedDisableDirectives: 'error' },
  ignorePatterns: ['**/dist', '.rooms', 'data', 'server/.torture', 'test-results', 'playwright-report'],
  rules: {
    ...errors(
      'no-array-constructor',
      'no-case-declarations',
      'no-constant-condition',
      'no-empty',
      'no-fallthrough',
      'no-prototype-builtins',
      'no-regex-spaces',
      'no-unused-expressions',
      'no-useless-backreference',
      'no-var',
      'prefer-const',
      'prefer-rest-params',
      'prefer-spread',
      'typescript/await-thenable',
      'typescript/ban-ts-comment',
      'typescript/no-empty-object-type',
      'typescript/no-explicit-any',
      'typescript/no-floating-promises',
      'typescript/no-misused-promises',
      'typescript/no-namespace',
      'typescript/no-require-imports',
      'typescript/no-unnecessary-type-constraint',
      'typescript/no-unsafe-function-type',
    ),
    // What is told of types that nothing goes wrong by here.
    'typescript/no-meaningless-void-operator': 'off',
    'typescript/require-array-sort-compare': 'off',
    'typescript/unbound-method': 'off',
  },
  overrides: [
    {
      files: ['**/*.{ts,tsx}'],
      rules: {
        'no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
        'typescript/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
        // What must be there is asked for by `first`, `last`, `nth`, `held`, `found` or `sure`, which say what was
        // missing.
        'typescript/no-non-null-assertion': 'error',
        'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
        // A screen and a half is the aim; what is longer than this can not be read at once.
        'max-lines-per-function': ['error', { max: 100, skipBlankLines: true, skipComments: true }],
        eqeqeq: 'error',
      },
    },
    {
      files: ['**/*.test.{ts,tsx}', '**/testing/**', 'e2e/**', 'bench/**'],
      rules: { 'max-lines-per-function': 'off' },
    },
    {
      files: ['**/*.test.{ts,tsx}', '**/testing/**', '{e2e,bench,torture,house}/**'],
      rules: { 'typescript/no-non-null-assertion': 'off' },
    },
    {
      // Tests are no components: what the rules of hooks look for is not in them.
      files: ['web/**/*.{ts,tsx}'],
      excludeFiles: ['**/*.test.{ts,tsx}'],
      plugins: ['react'],
      rules: errors(
        'react/rules-of-hooks',
        'react/exhaustive-deps',
        'react/error-boundaries',
        'react/globals',
        'react/immutability',
        'react/incompatible-library',
        'react/preserve-manual-memoization',
        'react/purity',
        'react/refs',
        'react/set-state-in-effect',
        'react/set-state-in-render',
        'react/static-components',
        'react/unsupported-syntax',
        'react/use-memo',
      ),
    },
    {
      files: ['web/**/*.tsx'],
      plugins: ['jsx-a11y'],
      rules: {
        ...errors(
          'jsx-a11y/alt-text',
          'jsx-a11y/anchor-has-content',
          'jsx-a11y/anchor-is-valid',
          'jsx-a11y/aria-activedescendant-has-tabindex',
          'jsx-a11y/aria-props',
          'jsx-a11y/aria-proptypes',
          'jsx-a11y/aria-role',
          'jsx-a11y/aria-unsupported-elements',
          'jsx-a11y/autocomplete-valid',
          'jsx-a11y/click-events-have-key-events',
          'jsx-a11y/heading-has-content',
          'jsx-a11y/html-has-lang',
          'jsx-a11y/iframe-has-title',
          'jsx-a11y/img-redundant-alt',
          'jsx-a11y/label-has-associated-control',
          'jsx-a11y/media-has-caption',
          'jsx-a11y/mouse-events-have-key-events',
          'jsx-a11y/no-access-key',
          'jsx-a11y/no-distracting-elements',
          'jsx-a11y/no-redundant-roles',
          'jsx-a11y/role-has-required-aria-props',
          'jsx-a11y/role-supports-aria-props',
          'jsx-a11y/scope',
          'jsx-a11y/tabindex-no-positive',
        ),
        'jsx-a11y/interactive-supports-focus': [
          'error',
          { tabbable: ['button', 'checkbox', 'link', 'searchbox', 'spinbutton', 'switch', 'textbox'] },
        ],
        'jsx-a11y/no-interactive-element-to-noninteractive-role': [
          'error',
          { tr: ['none', 'presentation'], canvas: ['img'] },
        ],
        'jsx-a11y/no-noninteractive-element-interactions': [
          'error',
          {
            handlers: [
              'onClick',
              'onError',
              'onLoad',
              'onMouseDown',
              'onMouseUp',
              'onKeyPress',
              'onKeyDown',
              'onKeyUp',
            ],
            alert: ['onKeyUp', 'onKeyDown', 'onKeyPress'],
            body: ['onError', 'onLoad'],
            dialog: ['onKeyUp', 'onKeyDown', 'onKeyPress'],
            iframe: ['onError', 'onLoad'],
            img: ['onError', 'onLoad'],
          },
        ],
        'jsx-a11y/no-noninteractive-element-to-interactive-role': [
          'error',
          {
            ul: ['listbox', 'menu', 'menubar', 'radiogroup', 'tablist', 'tree', 'treegrid'],
            ol: ['listbox', 'menu', 'menubar', 'radiogroup', 'tablist', 'tree', 'treegrid'],
            li: ['menuitem', 'menuitemradio', 'menuitemcheckbox', 'option', 'row', 'tab', 'treeitem'],
            table: ['grid'],
            td: ['gridcell'],
            fieldset: ['radiogroup', 'presentation'],
          },
        ],
        'jsx-a11y/no-static-element-interactions': [
          'error',
          {
            allowExpressionValues: true,
            handlers: ['onClick', 'onMouseDown', 'onMouseUp', 'onKeyPress', 'onKeyDown', 'onKeyUp'],
          },
        ],
        'jsx-a11y/control-has-associated-label': 'off',
        'jsx-a11y/prefer-tag-over-role': 'off',
        // A dialog puts the focus where one goes on.
        'jsx-a11y/no-autofocus': 'off',
        // What scrolls must be reached by keys.
        'jsx-a11y/no-noninteractive-tabindex': 'off',
      },
    },
    {
      // The pages that are in no layer.
      files: ['web/src/*.{ts,tsx}'],
      excludeFiles: ['web/src/edges.ts', '**/*.test.{ts,tsx}'],
      rules: { 'no-restricted-imports': ['error', { patterns: [asksEdges] }] },
    },
    ...layered,
    {
      files: ['core/src/**/*.ts'],
      excludeFiles: TESTS,
      rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'Date'] },
    },
    ...oneWay,
    behind,
  ],
});
