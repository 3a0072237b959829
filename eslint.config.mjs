import js from '@eslint/js';
import reactHooks from 'eslint-plugin-react-hooks';
import globals from 'globals';
import tseslint from 'typescript-eslint';

/** Features of each package, an earlier one never imports a later one. */
export const ORDER = {
  core: [
    'shared',
    'statistics',
    'imaging',
    'design',
    ['amounts', 'growth', 'simulate', 'imports', 'templates'],
    'germination',
    'calendar',
    'comparison',
    ['review', 'rehearsal'],
    'lessons',
    'calibration',
    'words',
  ],
  contract: [
    'shared',
    'passwords',
    'network',
    'accounts',
    'sharing',
    'classes',
    'uploads',
    'inventory',
    'plans',
    'readings',
    'care',
    'journal',
    'photos',
    'sowing',
    'student',
    'live',
    'comparison',
    'predictions',
    'lessons',
    'imports',
    'experiments',
    'routes',
  ],
  server: [
    'shared',
    'accounts',
    'sharing',
    'classes',
    'uploads',
    'inventory',
    'plans',
    'readings',
    'care',
    'journal',
    'photos',
    'sowing',
    'student',
    'live',
    'comparison',
    'predictions',
    'lessons',
    'imports',
    'experiments',
    'app',
  ],
  web: [
    'shared',
    'accounts',
    'sharing',
    'classes',
    'inventory',
    'plans',
    'care',
    'readings',
    'photos',
    'sowing',
    'student',
    'print',
    'comparison',
    'lessons',
    'imports',
    'experiments',
    'app',
  ],
};

/** Packages that each package may not import. */
const CLOSED = {
  words: ['core', 'contract', 'demo', 'server', 'web', 'scripts'],
  core: ['contract', 'demo', 'server', 'web', 'scripts'],
  contract: ['demo', 'server', 'web', 'scripts'],
  demo: ['server', 'web', 'scripts'],
  server: ['web'],
  web: ['server', 'demo', 'scripts'],
};

const NO_TEXT = 'a text that a person reads stands in a catalogue: see words/src/en';
const NOT_FOR_PERSONS =
  ':not(NewExpression[callee.name=/^(Error|TypeError|Trouble)$/] > *):not(TSLiteralType > *):not(ImportDeclaration > *):not(Property[key.name="family"] > *)';

/** Sentences, labels and titles outside the catalogues. */
const TEXTS = [
  { selector: 'JSXText[value=/[A-Za-z]{2}/]', message: NO_TEXT },
  {
    selector:
      'JSXAttribute[name.name=/^(label|title|placeholder|alt|hint|aria-label|caption)$/] > Literal[value=/[A-Za-z]{2}/]',
    message: NO_TEXT,
  },
  { selector: `Literal[value=/^[A-Z“][a-z’]+,? [A-Za-z“(0-9]/]${NOT_FOR_PERSONS}`, message: NO_TEXT },
  {
    selector: `TemplateElement[value.raw=/(^|[^A-Za-z])[A-Z]?[a-z]{2,} [a-z]{2,} [a-z]{2,}/]:not(NewExpression[callee.name=/^(Error|TypeError|Trouble)$/] TemplateElement)`,
    message: NO_TEXT,
  },
];

function featureRules() {
  return Object.entries(ORDER).flatMap(([name, order]) => {
    const packages = CLOSED[name].map((other) => ({
      group: [`@bright-sprout/${other}`, `@bright-sprout/${other}/*`],
      message: `${name} may not import ${other}: see the map in CONTRIBUTING.md`,
    }));
    return order.flatMap((step, index) => {
      const features = [step].flat();
      return features.map((feature) => {
        const later = [...features.filter((other) => other !== feature), ...order.slice(index + 1).flat()];
        return {
          files: [`${name}/src/${feature}/**/*.{ts,tsx}`],
          rules: {
            'no-restricted-imports': [
              'error',
              {
                patterns: [
                  ...packages,
                  ...later.map((other) => ({
                    group: [`**/../${other}`, `**/../${other}/**`],
                    message: `${feature} may not import ${other}: imports go one way`,
                  })),
                  {
                    regex: `^(\\.\\./)+(${order.flat().join('|')})/(?!([a-z-]+/)?index\\.ts$)`,
                    message: 'import another feature through its index.ts, not its private files',
                  },
                ],
              },
            ],
          },
        };
      });
    });
  });
}

export default tseslint.config(
  {
    ignores: [
      '**/dist/',
      '.build/',
      '.data/',
      'node_modules/',
      'test-results/',
      'web/vite.config.ts',
      'web/read-texts.ts',
    ],
  },
  js.configs.recommended,
  {
    files: ['**/*.{ts,tsx}'],
    // What needs types is checked by oxlint, many times faster: see .oxlintrc.json.
    extends: [...tseslint.configs.strict, ...tseslint.configs.stylistic],
    languageOptions: { parserOptions: { emitDecoratorMetadata: true, experimentalDecorators: true } },
    rules: {
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
      '@typescript-eslint/no-extraneous-class': 'off',
      eqeqeq: ['error', 'always', { null: 'ignore' }],
      'no-duplicate-imports': ['error', { allowSeparateTypeImports: true }],
      'max-lines': ['error', { max: 330, skipBlankLines: true, skipComments: true }],
    },
  },
  {
    files: ['core/src/**/*.ts'],
    ignores: ['**/*.test.ts'],
    rules: {
      'no-restricted-globals': ['error', 'document', 'window', 'fetch', 'process', 'localStorage'],
      'no-restricted-properties': [
        'error',
        { object: 'Math', property: 'random', message: 'take a Chance as an argument' },
        { object: 'Date', property: 'now', message: 'take the day as an argument' },
      ],
      'no-restricted-syntax': [
        'error',
        {
          selector: 'NewExpression[callee.name="Date"][arguments.length=0]',
          message: 'take the day as an argument',
        },
        ...TEXTS,
      ],
    },
  },
  ...featureRules(),
  {
    files: ['web/src/**/*.{ts,tsx}'],
    ignores: ['**/*.test.{ts,tsx}'],
    plugins: { 'react-hooks': reactHooks },
    rules: {
      'no-restricted-syntax': [
        'error',
        {
          selector:
            'CallExpression[callee.name="call"] > MemberExpression.arguments[property.name=/^(keepReading|keepPot|keepCare|keepOwnCare|keepEntry|keepOwnEntry|tick|tickPot|keepPrediction|keepOwnPrediction|keepConclusion|keepOwnConclusion|keepPractice|keepOwnVote|chooseStudent)$/]',
          message: 'what is made in class goes through useKeep, which loses nothing',
        },
        {
          selector: 'CallExpression[callee.object.name="outbox"][callee.property.name="put"]',
          message: 'what is made in class goes through useKeep, which loses nothing',
        },
        {
          selector: 'Property[key.name="queryKey"] > ArrayExpression',
          message: 'keys stand in shared/api/keys.ts',
        },
        { selector: 'TSAsExpression > TSNeverKeyword', message: 'say what it is' },
        ...TEXTS,
      ],
      'max-lines-per-function': ['error', { max: 120 }],
      ...reactHooks.configs.recommended.rules,
      // Both speak of the drag and form packages' own refs and subscriptions.
      'react-hooks/refs': 'off',
      'react-hooks/incompatible-library': 'off',
    },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: [
      '**/*.test.ts',
      'server/src/app/{load-demo,migrate,openapi,outlive-errors,run-reset-password}.ts',
      'server/src/imports/bundle-tables.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', ...TEXTS] },
  },
  {
    // Content that a teacher changes, what an operator or a developer reads, and what describes a file to a machine.
    files: [
      'core/src/calibration/**',
      'core/src/design/starting-crops.ts',
      'core/src/templates/starting-templates.ts',
      '{web,server}/src/**/testing/**',
    ],
    rules: { 'no-restricted-syntax': 'off' },
  },
  {
    files: ['**/*.test.{ts,tsx}', '{web,server}/src/**/testing/**', 'e2e/**'],
    rules: {
      // Server tests drive the whole server; answers are checked by what they are compared with.
      'no-restricted-imports': 'off',
      '@typescript-eslint/no-non-null-assertion': 'off',
      'max-lines': 'off',
    },
  },
  { files: ['core/src/design/starting-crops.ts', 'words/src/en/**'], rules: { 'max-lines': 'off' } },
  { files: ['**/*.mjs'], languageOptions: { globals: globals.node } },
);
