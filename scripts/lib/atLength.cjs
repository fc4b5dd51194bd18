// Stands for fast-check in `npm run properties`: every property has so many times its runs, from another seed
// each time, also where its test names one.
const path = require('node:path');
const actual = require(path.join(__dirname, '../../node_modules/fast-check'));

const times = Number(process.env.TOILE_PROPERTY_TIMES);
const assert = (property, params = {}) =>
  actual.assert(property, {
    ...params,
    numRuns: Math.ceil((params.numRuns ?? 100) * times),
    seed: undefined,
    endOnFailure: true,
  });
module.exports = { ...actual, assert, __esModule: true };
module.exports.default = module.exports;
