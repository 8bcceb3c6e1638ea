import { writeFileSync } from 'node:fs';
import { format, resolveConfig } from 'prettier';

/** Writes a page of `docs`, formatted as all of them are. @param name of its file, without `.md` */
export async function writePage(name: string, text: string): Promise<void> {
  const file = `docs/${name}.md`;
  writeFileSync(file, await format(text, { ...(await resolveConfig(file)), parser: 'markdown' }));
}
