// What jsdom lacks and the interface library asks for at start.
window.matchMedia ??= (query) => ({
  matches: false,
  media: query,
  addListener() {},
  removeListener() {},
  addEventListener() {},
  removeEventListener() {},
});
window.ResizeObserver ??= class {
  observe() {}
  unobserve() {}
  disconnect() {}
};
globalThis.structuredClone ??= (value) => JSON.parse(JSON.stringify(value));

// Browsers read and write bytes as text; jsdom does not bring it.
const { TextDecoder, TextEncoder } = require('node:util');
Object.assign(globalThis, { TextDecoder, TextEncoder });
