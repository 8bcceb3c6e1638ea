import { readFileSync, readdirSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { shippedGuide } from '@pause/guide';
import { shippedReadings, supportOf } from '@pause/guide/readings';

/**
 * Writes into each statement on a dangerous taxon which readings support it: `npx tsx scripts/readings.ts`.
 * To be run after a statement or a reading has changed; a test fails where it was forgotten. What the writer
 * of the guide read stays as it is.
 */
const FOLDER = join(import.meta.dirname, '../guide/data/taxa');
const STATEMENT = /^( +)(\{ "character": .*\})(,?)$/;

const inline = (value: unknown): string => {
  if (Array.isArray(value)) return `[${value.map(inline).join(', ')}]`;
  if (typeof value !== 'object' || value === null) return JSON.stringify(value);
  return `{ ${Object.entries(value)
    .map(([key, inner]) => `${JSON.stringify(key)}: ${inline(inner)}`)
    .join(', ')} }`;
};

const support = supportOf(shippedGuide(), shippedReadings());
for (const name of readdirSync(FOLDER)) {
  const path = join(FOLDER, name);
  const byCharacter = support.get(name.replace('.json', '') as never);
  const text = readFileSync(path, 'utf8')
    .split('\n')
    .map((line) => {
      const [, indent = '', json, comma = ''] = STATEMENT.exec(line) ?? [];
      if (json === undefined) return line;
      const { readBy = [], ...statement } = JSON.parse(json) as { character: string; readBy?: string[] };
      const readers = [
        ...readBy.filter((reader) => reader === 'first'),
        ...(byCharacter?.get(statement.character as never) ?? []),
      ];
      return `${indent}${inline(byCharacter && readers.length > 0 ? { ...statement, readBy: readers } : statement)}${comma}`;
    })
    .join('\n');
  writeFileSync(path, text);
}
