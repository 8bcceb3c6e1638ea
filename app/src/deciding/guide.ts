import { compileGuide, type CompiledGuide, type Guide } from '@pause/core';
import { breath } from '../lib/breath';

/** Where the guide that ships lies beside the application; written there by the build. */
export const GUIDE_FILE = '/guide.json';
/**
 * The name under which the page tells of the guide that was built with it: the SHA-256 of the file, and the
 * guide's version.
 */
export const GUIDE_META = 'pause-guide';

/**
 * A guide that was read through: JSON as it came (UTF-8), which a worker is soonest handed, or what was read of
 * it.
 */
export type GuideFile = ({ readonly bytes: ArrayBuffer } | { readonly raw: unknown }) & {
  /** Its version, where that is known. */
  readonly version?: string;
};

/**
 * The guide, ready for deciding. It is data, fetched once before the first screen, so that it need not be
 * part of the program; nothing that reads it runs before `useGuide`.
 */
export let guide: CompiledGuide;

const rawOf = (file: GuideFile): unknown =>
  'bytes' in file ? JSON.parse(new TextDecoder().decode(file.bytes)) : file.raw;

/** A guide ready for deciding: one that was read through already. */
export const compiled = (file: GuideFile): CompiledGuide => compileGuide(rawOf(file) as Guide, file.version);

/** Takes a guide into use. */
export function takeGuide(file: GuideFile): void {
  guide = compiled(file);
}

/**
 * The version that the page tells, if the file is, byte by byte, the very one that it tells of: that was read
 * through when the application was built.
 */
async function statedVersion(bytes: ArrayBuffer): Promise<string | undefined> {
  const [hash, version] =
    document.querySelector(`meta[name="${GUIDE_META}"]`)?.getAttribute('content')?.split(' ') ?? [];
  // Not there without a safe connection.
  const subtle = globalThis.crypto.subtle as SubtleCrypto | undefined;
  if (!hash || !version || !subtle) return undefined;
  const digest = new Uint8Array(await subtle.digest('SHA-256', bytes));
  return [...digest].map((byte) => byte.toString(16).padStart(2, '0')).join('') === hash
    ? version
    : undefined;
}

/**
 * Fetches the guide and takes it into use; rejects where it cannot be had, or is none. Gives it as it came.
 */
export async function loadGuide(): Promise<GuideFile> {
  const response = await fetch(GUIDE_FILE);
  if (!response.ok) throw new Error(`the guide could not be loaded (${response.status})`);
  const bytes = await response.arrayBuffer();
  const version = await statedVersion(bytes);
  // Bit by bit, so that a finger is not kept waiting.
  await breath();
  const raw = rawOf({ bytes });
  await breath();
  if (version === undefined) {
    const { parseGuide } = await import('@pause/core/guide/parse');
    takeGuide({ raw: parseGuide(raw) });
    return { raw: guide.guide, version: guide.version };
  }
  takeGuide({ raw, version });
  return { bytes, version };
}
