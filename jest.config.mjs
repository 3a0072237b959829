/** Tests run as Node's own modules, see `scripts/jest/native-runner.mjs`. */
const native = (displayName, extra = {}) => ({
  displayName,
  rootDir: import.meta.dirname,
  roots: [`<rootDir>/${displayName}`],
  runner: '<rootDir>/scripts/jest/native-runner.mjs',
  testMatch: ['**/*.test.ts', '**/*.test.tsx'],
  testPathIgnorePatterns: ['/node_modules/', '/dist/', '/.build/'],
  modulePathIgnorePatterns: ['/dist/', '/.build/'],
  ...extra,
});

export default {
  // Hooks that start servers and load the demo take several seconds on a busy machine.
  testTimeout: 30_000,
  projects: [
    native('core'),
    native('contract', { setupFiles: ['reflect-metadata'] }),
    native('demo', { setupFiles: ['reflect-metadata'] }),
    native('scripts'),
    native('server', { setupFiles: ['reflect-metadata'] }),
    native('web', {
      runner: '<rootDir>/scripts/jest/browser-runner.mjs',
      setupFiles: ['<rootDir>/scripts/jest/browser.mjs', 'reflect-metadata'],
      setupFilesAfterEnv: ['<rootDir>/web/src/app/testing/patience.ts'],
    }),
  ],
};
