import boundaries from 'eslint-plugin-boundaries'
import jsxA11y from 'eslint-plugin-jsx-a11y-x'
import reactHooks from 'eslint-plugin-react-hooks'
import tseslint from 'typescript-eslint'

/** The rooms of src and what each may import: one way only. */
const ROOMS = {
  core: ['core'],
  // A program of its own, before the one that is served.
  server: ['server'],
  boundary: ['boundary', 'core'],
  data: ['data', 'boundary', 'core'],
  // Of the data only what reads files.
  workers: ['workers', 'data', 'core'],
  ui: ['ui', 'boundary', 'core'],
  drawings: ['drawings', 'ui', 'boundary', 'core'],
  features: ['drawings', 'ui', 'data', 'boundary', 'workers', 'core'],
  app: ['app', 'features', 'drawings', 'ui', 'data', 'boundary', 'core'],
}

/** What the core must be given instead: the time, random numbers, the outside world. */
const OUTSIDE = [
  'window',
  'document',
  'navigator',
  'localStorage',
  'fetch',
  'process',
  'setTimeout',
  'setInterval',
  'performance',
  'crypto',
]

export default tseslint.config(
  {
    ignores: [
      '.next/',
      'node_modules/',
      'next-env.d.ts',
      'drizzle/',
      'test-results/',
      'reports/',
      'playwright-report/',
    ],
  },
  ...tseslint.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    rules: {
      '@typescript-eslint/consistent-type-imports': ['error', { fixStyle: 'inline-type-imports' }],
      '@typescript-eslint/no-unused-vars': ['error', { argsIgnorePattern: '^_' }],
      '@typescript-eslint/no-empty-function': 'off',
      eqeqeq: 'error',
      'no-console': 'error',
      'prefer-const': 'error',
    },
  },
  { files: ['scripts/**', 'e2e/**'], rules: { 'no-console': 'off' } },
  {
    files: ['src/**/*.{ts,tsx}', 'scripts/**/*.ts', 'e2e/**/*.ts'],
    languageOptions: { parserOptions: { projectService: true, tsconfigRootDir: import.meta.dirname } },
    rules: {
      '@typescript-eslint/no-floating-promises': 'error',
      '@typescript-eslint/no-misused-promises': ['error', { checksVoidReturn: { attributes: false } }],
      // A kind that is added and forgotten somewhere is told there.
      '@typescript-eslint/switch-exhaustiveness-check': [
        'error',
        { allowDefaultCaseForExhaustiveSwitch: true, considerDefaultExhaustiveForUnions: true },
      ],
    },
  },
  { ...jsxA11y.configs.recommended, files: ['src/**/*.tsx'] },
  {
    files: ['src/**/*.tsx'],
    rules: {
      // What scrolls sideways must be reached by keys; it is a group with a name.
      'jsx-a11y-x/no-noninteractive-tabindex': ['error', { roles: ['group', 'img'], tags: [] }],
      'jsx-a11y-x/label-has-associated-control': ['error', { depth: 4 }],
      // Keys and pointers of many fields are followed at what holds them.
      'jsx-a11y-x/no-noninteractive-element-interactions': 'off',
    },
  },
  { ...reactHooks.configs.flat['recommended-latest'], files: ['src/**/*.{ts,tsx}'] },
  {
    files: ['src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.ts', 'src/core/fitting/walks/told.ts'], // tests of the core, and what they share, walk over the demo's instruments
    plugins: { boundaries },
    settings: {
      'boundaries/elements': [
        { type: 'features', pattern: 'src/features/*', capture: ['feature'] },
        ...Object.keys(ROOMS)
          .filter((room) => room !== 'features')
          .map((room) => ({ type: room, pattern: `src/${room}` })),
      ],
      'import/resolver': { typescript: { project: './tsconfig.json' } },
    },
    rules: {
      'boundaries/dependencies': [
        'error',
        {
          default: 'disallow',
          policies: [
            ...Object.entries(ROOMS).map(([from, to]) => ({
              from: { element: { type: from } },
              allow: { to: { element: { type: to } } },
            })),
            {
              from: { element: { type: 'features' } },
              allow: {
                to: {
                  element: { type: 'features', captured: { feature: '{{from.element.captured.feature}}' } },
                },
              },
            },
          ],
        },
      ],
    },
  },
  {
    files: ['src/core/**/*.ts'],
    ignores: ['**/*.test.ts', 'src/core/fitting/walks/told.ts'],
    rules: {
      'no-restricted-globals': ['error', ...OUTSIDE],
      'no-restricted-properties': [
        'error',
        { object: 'Date', property: 'now' },
        { object: 'Math', property: 'random' },
      ],
      'no-restricted-imports': [
        'error',
        {
          patterns: [
            {
              regex: '^(react|next|drizzle-orm|better-sqlite3|node:|class-validator)',
              message: 'The core is pure computation.',
            },
          ],
        },
      ],
    },
  },
)
