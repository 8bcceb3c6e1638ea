// jsdom leaves out what every browser has.
const { TextEncoder, TextDecoder } = require('node:util');
const { webcrypto } = require('node:crypto');

Object.assign(globalThis, { TextEncoder, TextDecoder });
Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
// What is kept here is JSON, and so is its copy.
globalThis.structuredClone ??= (value) =>
  value === undefined ? undefined : JSON.parse(JSON.stringify(value));
