/**
 * A test runner of Stryker for topics that are pure (no clock, no network, nothing of Jest's but its words):
 * sources and tests are bundled once, and each change loads the bundle anew in the same process and works
 * only the tests that reach it, the quickest first, until one fails. Under Jest a change took half a minute
 * and more where the tests themselves take a second, for the modules were loaded anew for every file.
 */
import { createRequire } from 'node:module';
import vm from 'node:vm';
import { INSTRUMENTER_CONSTANTS } from '@stryker-mutator/api/core';
import { commonTokens, declareClassPlugin, PluginKind, tokens } from '@stryker-mutator/api/plugin';
import {
  determineHitLimitReached,
  DryRunStatus,
  TestStatus,
  toMutantRunResult,
} from '@stryker-mutator/api/test-runner';
import { build } from 'esbuild';
import { APART, GIVEN, testsOf } from './collectTests.mjs';

/** What `bundled` of the settings holds: test files from the root, and how long a test may take to be asked. */
class BundledTestRunner {
  static inject = tokens(commonTokens.options);
  #settings;
  #load;
  #durations = new Map();

  constructor(options) {
    this.#settings = options.bundled;
    globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE] ??= {};
  }

  capabilities() {
    return { reloadEnvironment: true };
  }

  async init() {
    const { outputFiles } = await build({
      stdin: {
        contents: this.#settings.files
          .map((file) => `if (__wants(${JSON.stringify(file)})) require(${JSON.stringify(`./${file}`)});`)
          .join('\n'),
        resolveDir: process.cwd(),
        loader: 'js',
      },
      bundle: true,
      write: false,
      platform: 'node',
      format: 'cjs',
      target: 'es2022',
      mainFields: ['module', 'main'],
      external: ['fast-check', 'highs'],
      tsconfig: 'tsconfig.base.json',
      logLevel: 'error',
    });
    const script = new vm.Script(`(function (${GIVEN.join(', ')}) {${outputFiles[0].text}\n})`, {
      filename: 'bundled.cjs',
      importModuleDynamically: vm.constants.USE_MAIN_CONTEXT_DEFAULT_LOADER,
    });
    const require = createRequire(`${process.cwd()}/packages/core/package.json`);
    this.#load = (files) => testsOf(script.runInThisContext(), require, files);
  }

  async dryRun() {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    stryker.activeMutant = undefined;
    stryker.mutantCoverage = { static: {}, perTest: {} };
    stryker.currentTestId = undefined;
    const results = await this.#work(this.#load(), { bail: false });
    const slow = results.filter(({ timeSpentMs }) => timeSpentMs > this.#settings.slowestMs);
    for (const { id } of slow) delete stryker.mutantCoverage.perTest[id];
    return { status: DryRunStatus.Complete, tests: results, mutantCoverage: stryker.mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, disableBail, hitLimit, mutantActivation }) {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    stryker.hitCount = hitLimit ? 0 : undefined;
    stryker.hitLimit = hitLimit;
    stryker.currentTestId = undefined;
    stryker.mutantCoverage = undefined;
    stryker.activeMutant = mutantActivation === 'static' ? String(activeMutant.id) : undefined;
    try {
      const files = testFilter && new Set(testFilter.map((id) => id.split(APART)[0]));
      let tests;
      try {
        tests = this.#load(files);
      } catch (error) {
        // A change that leaves a test file unreadable is seen by everybody.
        tests = [{ id: 'loading', run: () => Promise.reject(error) }];
      }
      stryker.activeMutant = String(activeMutant.id);
      const asked = testFilter
        ? tests.filter(({ id }) => testFilter.includes(id) || id === 'loading')
        : tests;
      const results = await this.#work(asked, { bail: !disableBail });
      return toMutantRunResult(
        determineHitLimitReached(stryker.hitCount, hitLimit) ?? {
          status: DryRunStatus.Complete,
          tests: results,
        },
        disableBail,
      );
    } finally {
      stryker.activeMutant = undefined;
    }
  }

  /** Works tests one after the other, the quickest of the time before first; those too slow to ask are left out. */
  async #work(tests, { bail }) {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    const took = ({ id }) => this.#durations.get(id) ?? 0;
    const results = [];
    for (const { id, run } of [...tests].sort((a, b) => took(a) - took(b))) {
      if (bail && took({ id }) > this.#settings.slowestMs) continue;
      stryker.currentTestId = id;
      const begun = performance.now();
      let failure;
      try {
        await run();
      } catch (error) {
        failure = error;
      }
      const timeSpentMs = performance.now() - begun;
      if (!bail) this.#durations.set(id, timeSpentMs);
      results.push(
        failure === undefined
          ? { id, name: id, timeSpentMs, status: TestStatus.Success }
          : {
              id,
              name: id,
              timeSpentMs,
              status: TestStatus.Failed,
              failureMessage: String(failure?.message ?? failure),
            },
      );
      if (bail && failure !== undefined) break;
    }
    stryker.currentTestId = undefined;
    return results;
  }
}

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'bundled', BundledTestRunner)];
