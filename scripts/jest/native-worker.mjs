// Runs test files as Node's own modules; one process runs many, one after the other.
import { register } from 'node:module';
import { pathToFileURL } from 'node:url';
import { createEmptyTestResult } from '@jest/test-result';
import * as circus from 'jest-circus';
import { formatExecError, formatResultsErrors } from 'jest-message-util';
import { buildSnapshotResolver, SnapshotState } from 'jest-snapshot';
import { expect, restore } from './globals.mjs';

register('./hooks.mjs', import.meta.url);
process.setSourceMapsEnabled(true);

let files = 0;

/** Runs one test file and gives what Jest reports of it. */
export async function runFile(path, config, globalConfig) {
  files += 1;
  circus.resetState();
  const state = circus.getState();
  state.testTimeout = globalConfig.testTimeout ?? config.testTimeout ?? state.testTimeout;
  if (globalConfig.testNamePattern) state.testNamePattern = new RegExp(globalConfig.testNamePattern, 'i');
  const snapshots = await snapshotsOf(path, config, globalConfig);
  expect.setState({ snapshotState: snapshots, testPath: path, expand: globalConfig.expand });
  const start = Date.now();
  try {
    for (const file of [...config.setupFiles, ...config.setupFilesAfterEnv, path]) {
      // A package is there once; what is ours is evaluated for each test file.
      const again = file.includes('/node_modules/') ? '' : `?file=${files}`;
      await import(`${pathToFileURL(file).href}${again}`);
    }
    const run = await circus.run();
    return resultOf({ run, path, config, globalConfig, snapshots, start });
  } finally {
    restore();
  }
}

/** Rejections that nobody has handled so far. */
const rejected = new Map();

// Errors that no test waits for fail the file that runs.
process.on('uncaughtException', (error) => circus.getState().unhandledErrors.push(error));
process.on('unhandledRejection', (error, promise) => rejected.set(promise, error));
process.on('rejectionHandled', (promise) => rejected.delete(promise));

circus.addEventHandler(({ name, test }, state) => {
  if (name === 'run_finish') {
    state.unhandledErrors.push(...rejected.values());
    rejected.clear();
  }
  tellExpectations(name, test);
});

/** Lets failed expectations that were caught or never made count, and snapshots know their test. */
function tellExpectations(name, test) {
  if (name === 'test_start') {
    expect.setState({ currentTestName: namesOf(test).join(' '), suppressedErrors: [] });
  } else if (name === 'test_done') {
    const { suppressedErrors = [] } = expect.getState();
    const missing = expect.extractExpectedAssertionsErrors().map(({ error }) => error);
    test.errors.push(...suppressedErrors, ...missing);
  }
}

function namesOf({ name, parent }) {
  return parent ? [...namesOf(parent), name] : [];
}

async function snapshotsOf(path, config, { updateSnapshot }) {
  const { prettierPath, rootDir, snapshotFormat } = config;
  const resolver = await buildSnapshotResolver(config);
  return new SnapshotState(resolver.resolveSnapshotPath(path), {
    prettierPath,
    rootDir,
    snapshotFormat,
    updateSnapshot,
  });
}

const STATUS = { skip: 'pending', todo: 'todo' };

function resultOf({ run, path, config, globalConfig, snapshots, start }) {
  const tests = run.testResults.map((one) => ({
    ancestorTitles: one.testPath.slice(1, -1),
    title: one.testPath.at(-1),
    fullName: one.testPath.slice(1).join(' '),
    status: one.errors.length > 0 ? 'failed' : (STATUS[one.status] ?? 'passed'),
    duration: one.duration ?? null,
    failureDetails: [],
    failureMessages: one.errors,
    invocations: one.invocations,
    location: null,
    numPassingAsserts: one.numPassingAsserts,
    retryReasons: [],
    startAt: one.startedAt ?? null,
  }));
  const count = (status) => tests.filter((one) => one.status === status).length;
  const strays = run.unhandledErrorsDetailed.map((error) => formatExecError(error, config, globalConfig));
  const end = Date.now();
  return {
    ...createEmptyTestResult(),
    displayName: config.displayName,
    testFilePath: path,
    testResults: tests,
    numPassingTests: count('passed'),
    numFailingTests: count('failed'),
    numPendingTests: count('pending'),
    numTodoTests: count('todo'),
    failureMessage:
      [formatResultsErrors(tests, config, globalConfig, path) ?? '', ...strays].join('\n').trim() || null,
    ...(strays.length > 0 && { testExecError: { message: '', stack: strays.join('\n') } }),
    perfStats: { start, end, runtime: end - start, slow: (end - start) / 1000 > config.slowTestThreshold },
    snapshot: saved(snapshots),
  };
}

function saved(snapshots) {
  const unchecked = snapshots.getUncheckedCount();
  const { deleted } = snapshots.save();
  const { added, matched, unmatched, updated } = snapshots;
  return { added, fileDeleted: deleted, matched, unchecked, uncheckedKeys: [], unmatched, updated };
}
