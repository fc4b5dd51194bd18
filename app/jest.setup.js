window.matchMedia ??= () => ({
  matches: false,
  addListener() {},
  removeListener() {},
  addEventListener() {},
  removeEventListener() {},
});
// The browser has these; jsdom has none of them.
const { TextDecoder, TextEncoder } = require('node:util');
const { deserialize, serialize } = require('node:v8');
Object.assign(globalThis, { TextDecoder, TextEncoder });
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
globalThis.setImmediate ??= require('node:timers').setImmediate;
require('fake-indexeddb/auto');
