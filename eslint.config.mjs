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
  // Tests drive whole parts; all that is no rule of our own about how the code is built is checked by oxlint.
  { ignores: ['**/*.test.{ts,tsx}', '{web,server}/src/**/testing/**'] },
  {
    files: ['**/*.{ts,tsx}'],
    languageOptions: {
      parser: tseslint.parser,
      parserOptions: { emitDecoratorMetadata: true, experimentalDecorators: true },
    },
  },
  {
    // Types that decorators turn into values; elsewhere oxlint looks at imports of types.
    files: ['{contract,server}/src/**/*.ts'],
    plugins: { '@typescript-eslint': tseslint.plugin },
    rules: {
      '@typescript-eslint/consistent-type-imports': [
        'error',
        { fixStyle: 'inline-type-imports', disallowTypeAnnotations: false },
      ],
    },
  },
  {
    files: ['core/src/**/*.ts'],
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
    },
  },
  {
    files: ['server/src/**/*.ts'],
    ignores: [
      'server/src/app/{load-demo,migrate,openapi,outlive-errors,run-reset-password}.ts',
      'server/src/imports/bundle-tables.ts',
    ],
    rules: { 'no-restricted-syntax': ['error', ...TEXTS] },
  },
  {
    // Content that a teacher changes, what an operator or a developer reads, and what describes a file to a machine.
    files: [
      'core/src/calibration/**',
      'core/src/design/crop-names.ts',
      'core/src/design/starting-crops.ts',
      'core/src/templates/starting-templates.ts',
      'core/src/templates/further-templates.ts',
    ],
    rules: { 'no-restricted-syntax': 'off' },
  },
);
