// The browser has these; jsdom has none of them.
const { TextDecoder, TextEncoder } = require('node:util');
const { deserialize, serialize } = require('node:v8');
Object.assign(globalThis, { TextDecoder, TextEncoder });
globalThis.structuredClone ??= (value) => deserialize(serialize(value));
globalThis.setImmediate ??= require('node:timers').setImmediate;
require('fake-indexeddb/auto');
// Tests of what runs in a worker have no page.
if (typeof window !== 'undefined') {
  window.matchMedia ??= () => ({
    matches: false,
    addListener() {},
    removeListener() {},
    addEventListener() {},
    removeEventListener() {},
  });
  // jsdom has no modal dialogs: here one is open or not, as its attribute says.
  HTMLDialogElement.prototype.showModal ??= function () {
    this.open = true;
  };
  HTMLDialogElement.prototype.close ??= function () {
    this.open = false;
  };
  // It lays nothing out either: for lists that draw what is in view, what scrolls is as large as a phone.
  Object.defineProperties(HTMLDivElement.prototype, {
    clientHeight: { configurable: true, get: () => 844 },
    clientWidth: { configurable: true, get: () => 390 },
  });
}
