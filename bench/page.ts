import { writeFileSync } from 'node:fs';

/** Writes a page of `docs`, formatted as all of them are. @param name of its file, without `.md` */
export async function writePage(name: string, text: string): Promise<void> {
  // Jest can't load Prettier, and tests use what other benches compute.
  const { format, resolveConfig } = await import('prettier');
  const file = `docs/${name}.md`;
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), parser: 'markdown' }));
}
