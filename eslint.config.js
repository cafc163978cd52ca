import js from '@eslint/js';
import hooks from 'eslint-plugin-react-hooks';
import tseslint from 'typescript-eslint';

/** The rooms of the core in the order a job flows through them. A room may import earlier rooms, never later ones. */
const ROOMS = [
  'length',
  'solid',
  'words',
  'stock',
  'job',
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
  'checking',
  'formats',
  'rehearsal',
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

export default tseslint.config(
  { ignores: ['**/dist', '**/node_modules', 'data', 'server/.torture', 'test-results', 'playwright-report'] },
  js.configs.recommended,
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-non-null-assertion': 'off',
      'max-lines': ['error', { max: 400, skipBlankLines: true, skipComments: true }],
      eqeqeq: 'error',
    },
  },
  { files: ['web/**/*.{ts,tsx}'], ...hooks.configs.flat.recommended },
  {
    files: ['core/src/*.ts', 'core/src/**/*.ts'],
    ignores: ['**/*.test.ts', '**/testing/**'],
    rules: { 'no-restricted-globals': ['error', 'window', 'document', 'process', 'fetch', 'localStorage', 'Date'] },
  },
  ...oneWay.map((rule) => ({ ...rule, ignores: ['**/*.test.ts', '**/testing/**'] })),
);
