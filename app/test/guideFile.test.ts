/** The guide as it comes: only the very bytes that the build read through are not read through again. */
import { createHash, webcrypto } from 'node:crypto';
import { compileGuide } from '@pause/core';
import { GuideError } from '@pause/core/guide/parse';
import { shippedGuide } from '@pause/guide';
import { guide, loadGuide } from '../src/deciding/guide';

const shipped = JSON.stringify(shippedGuide());
const hashOf = (text: string) => createHash('sha256').update(text).digest('hex');
const outside = globalThis as unknown as { fetch: unknown };

const browserHas = (crypto: unknown) =>
  Object.defineProperty(globalThis, 'crypto', { value: crypto, configurable: true });

/** The file, and what the page tells of it. */
function served(text: string, stated: string | undefined, status = 200): void {
  const { buffer, byteOffset, byteLength } = Buffer.from(text);
  outside.fetch = () =>
    Promise.resolve({
      ok: status < 400,
      status,
      arrayBuffer: () => Promise.resolve(buffer.slice(byteOffset, byteOffset + byteLength)),
    });
  document.head.innerHTML = stated === undefined ? '' : `<meta name="pause-guide" content="${stated}">`;
  browserHas(webcrypto);
}

test('the very bytes that the page tells of are taken as they are, with the version it tells', async () => {
  served(shipped, `${hashOf(shipped)} as-it-was-built`);
  expect((await loadGuide()).version).toBe('as-it-was-built');
  expect(guide.version).toBe('as-it-was-built');
  expect(guide.taxa.length).toBeGreaterThan(70);
});

test.each([
  ['another byte', `${shipped} `, `${hashOf(shipped)} as-it-was-built`],
  ['a page that tells nothing', shipped, undefined],
  ['a page that tells only half', shipped, hashOf(shipped)],
])('%s: it is read through, and its version is its own', async (_, text, stated) => {
  served(text, stated);
  const { version } = compileGuide(shippedGuide());
  expect((await loadGuide()).version).toBe(version);
  expect(guide.version).toBe(version);
});

test('without a safe connection it is read through', async () => {
  served(shipped, `${hashOf(shipped)} as-it-was-built`);
  browserHas({});
  await loadGuide();
  expect(guide.version).not.toBe('as-it-was-built');
});

test('what is no guide is refused, and so is none', async () => {
  const other = shipped.replace('"Cantharellus cibarius"', '7');
  served(other, `${hashOf(shipped)} as-it-was-built`);
  await expect(loadGuide()).rejects.toThrow(GuideError);
  served('', undefined, 404);
  await expect(loadGuide()).rejects.toThrow('404');
});
