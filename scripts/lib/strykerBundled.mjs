/**
 * A test runner of Stryker for topics that are pure (no clock, no network, nothing of Jest's but its words):
 * sources and tests are bundled once, and each change loads the bundle anew in the same process and works
 * only the tests that reach it, the quickest first, until one fails. Under Jest a change took half a minute
 * and more where the tests themselves take a second, for the modules were loaded anew for every file.
 */
import { readFileSync, writeFileSync } from 'node:fs';
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

class BundledTestRunner {
  static inject = tokens(commonTokens.options);
  /** Test files from the root, and how long a test may take to be asked, ms. */
  #settings;
  /** Reads the tests of some files, or of all. */
  #load;
  /** How long each test took, ms, by its id; of no one process alone. */
  #took;

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

  /**
   * Every test once. What runs while a file is read counts as a test of its own, so that a change of a table
   * is tried by the files that read it, and not by all.
   */
  async dryRun() {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    stryker.activeMutant = undefined;
    stryker.mutantCoverage = { static: {}, perTest: {} };
    const results = [];
    for (const file of this.#settings.files) {
      const id = readingOf(file);
      stryker.currentTestId = id;
      const begun = performance.now();
      const tests = this.#load(new Set([file]));
      results.push({ id, name: id, timeSpentMs: performance.now() - begun, status: TestStatus.Success });
      results.push(...(await this.#work(tests, { bail: false })));
    }
    const took = Object.fromEntries(results.map(({ id, timeSpentMs }) => [id, timeSpentMs]));
    writeFileSync(TIMES, JSON.stringify(took));
    for (const { id, timeSpentMs } of results)
      if (timeSpentMs > this.#settings.slowestMs && !id.endsWith(READING))
        delete stryker.mutantCoverage.perTest[id];
    return { status: DryRunStatus.Complete, tests: results, mutantCoverage: stryker.mutantCoverage };
  }

  async mutantRun({ activeMutant, testFilter, disableBail, hitLimit }) {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    const mutant = String(activeMutant.id);
    stryker.hitCount = hitLimit ? 0 : undefined;
    stryker.hitLimit = hitLimit;
    stryker.currentTestId = undefined;
    stryker.mutantCoverage = undefined;
    // The process that worked every test once is another one as often as not.
    this.#took ??= JSON.parse(readFileSync(TIMES, 'utf8'));
    const ids = new Set(testFilter ?? Object.keys(this.#took));
    const files = new Set([...ids].map(fileOf));
    const whileRead = new Set([...ids].filter((id) => id.endsWith(READING)).map(fileOf));
    stryker.activeMutant = whileRead.size > 0 ? mutant : undefined;
    try {
      let asked;
      try {
        asked = this.#load(files).filter(({ id }) => ids.has(id) || whileRead.has(fileOf(id)));
      } catch (error) {
        if (whileRead.size === 0) throw error;
        const [file] = whileRead;
        asked = [{ id: readingOf(file), run: () => Promise.reject(error) }];
      }
      stryker.activeMutant = mutant;
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

  /** Works tests one after the other, the quickest first; those too slow to ask are left out. */
  async #work(tests, { bail }) {
    const stryker = globalThis[INSTRUMENTER_CONSTANTS.NAMESPACE];
    const took = ({ id }) => this.#took?.[id] ?? 0;
    const results = [];
    for (const { id, run } of [...tests].sort((a, b) => took(a) - took(b))) {
      if (took({ id }) > this.#settings.slowestMs) continue;
      stryker.currentTestId = id;
      const begun = performance.now();
      let failure;
      try {
        await run();
      } catch (error) {
        failure = { failureMessage: String(error?.message ?? error) };
      }
      const timeSpentMs = performance.now() - begun;
      const status = failure ? TestStatus.Failed : TestStatus.Success;
      results.push({ id, name: id, timeSpentMs, status, ...failure });
      if (bail && failure) break;
    }
    stryker.currentTestId = undefined;
    return results;
  }
}

/** Where the runners of one sandbox find how long each test took, in ms by its id. */
const TIMES = '.bundledTimes.json';
/** The end of the id of what runs while a file is read. */
const READING = `${APART}(while it is read)`;
const readingOf = (file) => `${file}${READING}`;
const fileOf = (id) => id.split(APART)[0];

export const strykerPlugins = [declareClassPlugin(PluginKind.TestRunner, 'bundled', BundledTestRunner)];
