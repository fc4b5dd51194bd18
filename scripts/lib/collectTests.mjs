import { expect } from 'expect';
import { bind } from 'jest-each';

/** Between a test's file and its name. */
export const APART = ' › ';

/** What a bundle is handed, in this order; `__wants` says whether a file's tests are asked for, before they are read. */
export const GIVEN = [
  'require',
  'module',
  'exports',
  'describe',
  'test',
  'it',
  'beforeEach',
  'afterEach',
  'expect',
  '__wants',
];

/**
 * The tests of a bundle, or of some of its files, in the order they are written; nothing of them is worked
 * yet. Each has an id of its own, also where two are called the same.
 */
export function testsOf(bundle, require, files) {
  const tests = [];
  let within = [];
  let hooks = { before: [], after: [] };
  const test = (name, body) => {
    const { before, after } = hooks;
    const id = [...within, name].join(APART);
    const twice = tests.filter((one) => one.name === id).length;
    tests.push({
      name: id,
      id: twice === 0 ? id : `${id} (${twice + 1})`,
      run: async () => {
        for (const each of before) await each();
        try {
          await body();
        } finally {
          for (const each of after) await each();
        }
      },
    });
  };
  const describe = (name, body) => {
    const outside = [within, hooks];
    within = [...within, name];
    hooks = { before: [...hooks.before], after: [...hooks.after] };
    body();
    [within, hooks] = outside;
  };
  test.each = bind(test, false);
  describe.each = bind(describe, false);
  const wants = (file) => {
    within = [file];
    hooks = { before: [], after: [] };
    return files === undefined || files.has(file);
  };
  const module = { exports: {} };
  const before = (body) => hooks.before.push(body);
  const after = (body) => hooks.after.push(body);
  bundle(require, module, module.exports, describe, test, test, before, after, expect, wants);
  return tests;
}
