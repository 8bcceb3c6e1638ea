import { compileGuide, parseGuide, type CompiledGuide } from '@pause/core';

/** Where the guide that ships lies beside the application; written there by the build. */
export const GUIDE_FILE = '/guide.json';

/**
 * The guide, ready for deciding. It is data, fetched once before the first screen, so that it need not be part of
 * the program; nothing that reads it runs before `useGuide`.
 */
export let guide: CompiledGuide;

/** Takes a guide from untrusted JSON into use. */
export function takeGuide(raw: unknown): void {
  guide = compileGuide(parseGuide(raw));
}

/** Fetches the guide and takes it into use; rejects where it cannot be had, or is none. Gives it as it came, for the worker. */
export async function loadGuide(): Promise<unknown> {
  const response = await fetch(GUIDE_FILE);
  if (!response.ok) throw new Error(`the guide could not be loaded (${response.status})`);
  const raw: unknown = await response.json();
  takeGuide(raw);
  return raw;
}
