import { sha256 } from '@noble/hashes/sha2.js';
import { bytesToHex, utf8ToBytes } from '@noble/hashes/utils.js';

/**
 * One text for one value: object keys sorted by code unit, no white space, `undefined` members left out.
 * Refuses what JSON cannot carry (functions, symbols, non-finite numbers) with a TypeError.
 * Follows the member ordering of RFC 8785 (JSON Canonicalization Scheme).
 *
 * @example canonicalJson({ b: 1, a: [true] }) // '{"a":[true],"b":1}'
 */
export function canonicalJson(value: unknown): string {
  if (value === null || typeof value === 'boolean' || typeof value === 'string') return JSON.stringify(value);
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) throw new TypeError('a number that is not finite has no JSON form');
    return JSON.stringify(value);
  }
  if (Array.isArray(value)) return `[${value.map((item) => canonicalJson(item ?? null)).join(',')}]`;
  if (typeof value === 'object') {
    const members = Object.entries(value)
      .filter(([, member]) => member !== undefined)
      .sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0))
      .map(([key, member]) => `${JSON.stringify(key)}:${canonicalJson(member)}`);
    return `{${members.join(',')}}`;
  }
  throw new TypeError(`a ${typeof value} has no JSON form`);
}

/** Whether two values have the same canonical JSON, without writing it. */
export function sameValue(a: unknown, b: unknown): boolean {
  if (a === b) return true;
  if (typeof a !== 'object' || typeof b !== 'object' || a === null || b === null) return false;
  if (Array.isArray(a) || Array.isArray(b)) {
    return (
      Array.isArray(a) &&
      Array.isArray(b) &&
      a.length === b.length &&
      a.every((item, i) => sameValue(item ?? null, b[i] ?? null))
    );
  }
  const [one, other] = [a as Record<string, unknown>, b as Record<string, unknown>];
  for (const key in one) if (!sameValue(one[key], other[key])) return false;
  for (const key in other) if (other[key] !== undefined && one[key] === undefined) return false;
  return true;
}

/** SHA-256 (FIPS 180-4) over the canonical JSON of a value, as 64 lower-case hexadecimal digits. */
export function contentHash(value: unknown): string {
  return bytesToHex(sha256(utf8ToBytes(canonicalJson(value))));
}

/** SHA-256 (FIPS 180-4) of bytes, as 64 lower-case hexadecimal digits. */
export function bytesHash(bytes: Uint8Array): string {
  return bytesToHex(sha256(bytes));
}
