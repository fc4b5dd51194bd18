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
// jsdom has no modal dialogs: here one is open or not, as its attribute says.
HTMLDialogElement.prototype.showModal ??= function () {
  this.open = true;
};
HTMLDialogElement.prototype.close ??= function () {
  this.open = false;
};
