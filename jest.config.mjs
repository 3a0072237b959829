const swc = {
  '(\\.tsx?|/pure-rand/.+\\.js)$': [
    '<rootDir>/scripts/jest-transform.mjs',
    {
      jsc: {
        target: 'es2022',
        parser: { syntax: 'typescript', tsx: true, decorators: true },
        transform: {
          legacyDecorator: true,
          decoratorMetadata: true,
          react: { runtime: 'automatic' },
          useDefineForClassFields: false,
        },
      },
      module: { type: 'es6' },
    },
  ],
};

const shared = {
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  transform: swc,
  transformIgnorePatterns: ['/node_modules/(?!pure-rand/)'],
  extensionsToTreatAsEsm: ['.ts', '.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', '/.build/'],
  modulePathIgnorePatterns: ['/dist/', '/.build/'],
};

const node = (displayName, extra = {}) => ({
  ...shared,
  ...extra,
  displayName,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/${displayName}`],
  testEnvironment: 'node',
  testEnvironmentOptions: { customExportConditions: ['brightsprout-src', 'node', 'node-addons'] },
});

export default {
  // Hooks that start servers and load the demo take several seconds on a busy machine.
  testTimeout: 30_000,
  projects: [
    node('core'),
    node('contract', { setupFiles: ['reflect-metadata'] }),
    node('demo', { setupFiles: ['reflect-metadata'] }),
    node('scripts'),
    node('server', { setupFiles: ['reflect-metadata'] }),
    {
      ...node('web'),
      testEnvironment: 'jest-fixed-jsdom',
      testEnvironmentOptions: { customExportConditions: ['brightsprout-src', 'browser'] },
      setupFiles: ['reflect-metadata'],
      setupFilesAfterEnv: ['<rootDir>/web/src/app/testing/patience.ts'],
      moduleNameMapper: { '\\.(scss|css|svg)$': '<rootDir>/web/src/app/testing/style-stub.ts' },
    },
  ],
};
