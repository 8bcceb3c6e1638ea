// jsdom leaves out what every browser has.
const { TextEncoder, TextDecoder } = require('node:util');
const { webcrypto } = require('node:crypto');

Object.assign(globalThis, { TextEncoder, TextDecoder });
Object.defineProperty(globalThis, 'crypto', { value: webcrypto, configurable: true });
/** A deep copy. Blobs cannot change, and are shared. */
const copyOf = (value) =>
  value === null || typeof value !== 'object' || typeof value.arrayBuffer === 'function'
    ? value
    : Array.isArray(value)
      ? value.map(copyOf)
      : Object.fromEntries(Object.entries(value).map(([name, member]) => [name, copyOf(member)]));
globalThis.structuredClone ??= copyOf;
