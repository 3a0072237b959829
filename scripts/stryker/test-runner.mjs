// Lets StrykerJS try its mutants on our tests: they run as in `scripts/jest`, and all mutants of a part in one process.
import { join, relative } from 'node:path';
import { commonTokens, declareFactoryPlugin, PluginKind, tokens } from '@stryker-mutator/api/plugin';
import {
  determineHitLimitReached,
  DryRunStatus,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import * as circus from 'jest-circus';
import { readConfigs } from 'jest-config';
import { runFile } from '../jest/native-worker.mjs';

/** What mutated sources ask for the mutant that is on, and tell which they met. */
const asked = (globalThis.__stryker__ = {});

/** Which tests are to run, all where it is undefined, and whether the first that fails ends the run. */
let wanted;
let endsAtFailure = false;
let hasFailed = false;
let current = '';

circus.addEventHandler((event, { rootDescribeBlock }) => {
  if (event.name === 'run_start') {
    for (const test of testsIn(rootDescribeBlock)) if (wanted && !wanted.has(idOf(test))) test.mode = 'skip';
  } else if (event.name === 'test_start') {
    asked.currentTestId = idOf(event.test);
  } else if (event.name === 'test_done') {
    asked.currentTestId = undefined;
    hasFailed ||= event.test.errors.length > 0;
    if (hasFailed && endsAtFailure) for (const test of testsIn(rootDescribeBlock)) test.mode = 'skip';
  }
});

function testsIn(block) {
  return block.children.flatMap((child) => (child.type === 'test' ? [child] : testsIn(child)));
}

function idOf({ name, parent }) {
  const names = [name];
  for (let block = parent; block?.parent; block = block.parent) names.unshift(block.name);
  return `${current}: ${names.join(' ')}`;
}

class NativeTestRunner {
  #options;
  #files = [];
  #config;
  #globalConfig;

  constructor(options) {
    this.#options = options;
  }

  // Modules are there once a process; a mutant of what they do when they load needs a new one.
  capabilities() {
    return { reloadEnvironment: false };
  }

  async init() {
    const { project, tests } = this.#options.nativeTests;
    const { globalConfig, configs } = await readConfigs({ _: [], $0: '' }, [process.cwd()]);
    this.#globalConfig = globalConfig;
    this.#config = configs.find(({ displayName }) => displayName.name === project);
    this.#files = tests.map((file) => join(process.cwd(), file));
  }

  async dryRun({ coverageAnalysis }) {
    asked.activeMutant = undefined;
    asked.mutantCoverage = { static: {}, perTest: {} };
    wanted = undefined;
    endsAtFailure = false;
    const result = await this.#run(this.#files);
    return coverageAnalysis === 'off' ? result : { ...result, mutantCoverage: asked.mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, hitLimit, disableBail, mutantActivation }) {
    wanted = testFilter && new Set(testFilter);
    endsAtFailure = !disableBail;
    asked.mutantCoverage = undefined;
    asked.hitCount = hitLimit === undefined ? undefined : 0;
    asked.hitLimit = hitLimit;
    asked.activeMutant = activeMutant.id;
    const files = this.#files.filter((file) => !wanted || [...wanted].some((id) => isOf(id, file)));
    const result = await this.#run(files);
    if (mutantActivation === 'runtime') asked.activeMutant = undefined;
    return toMutantRunResult(determineHitLimitReached(asked.hitCount, asked.hitLimit) ?? result);
  }

  async #run(files) {
    const tests = [];
    hasFailed = false;
    for (const file of files) {
      current = relative(process.cwd(), file);
      try {
        const { testResults, testExecError } = await runFile(file, this.#config, this.#globalConfig);
        if (testExecError) return { status: DryRunStatus.Error, errorMessage: testExecError.stack };
        tests.push(...testResults.map((one) => told(one, file)));
      } catch (error) {
        return { status: DryRunStatus.Error, errorMessage: error.stack };
      }
      if (hasFailed && endsAtFailure) break;
    }
    return { status: DryRunStatus.Complete, tests };
  }
}

function isOf(id, file) {
  return id.startsWith(`${relative(process.cwd(), file)}: `);
}

const STATUS = { failed: TestStatus.Failed, passed: TestStatus.Success };

function told({ fullName, status, duration, failureMessages }, file) {
  const id = `${current}: ${fullName}`;
  const timeSpentMs = duration ?? 0;
  const failureMessage = failureMessages.join('\n');
  return {
    id,
    name: id,
    fileName: file,
    timeSpentMs,
    status: STATUS[status] ?? TestStatus.Skipped,
    failureMessage,
  };
}

function runnerOf(options) {
  return new NativeTestRunner(options);
}
runnerOf.inject = tokens(commonTokens.options);

export const strykerPlugins = [declareFactoryPlugin(PluginKind.TestRunner, 'native', runnerOf)];
