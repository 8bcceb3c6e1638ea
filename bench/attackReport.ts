import { readFileSync, writeFileSync } from 'node:fs';
import { cpus } from 'node:os';
import { join } from 'node:path';

/** The report of `npm run bench:attack`, in `docs/security.md`. */

export interface Line {
  readonly attack: string;
  readonly came: string;
  readonly others: string;
}

export const ms = (n: number) => `${Math.round(n)} ms`;

const BEGIN = '<!-- attack -->';
const END = '<!-- /attack -->';

/** How often each came: "3 × added, 1 × refused". */
export const counts = (statuses: readonly (string | number)[]) =>
  [...new Set(statuses)]
    .map((one) => `${statuses.filter((other) => other === one).length} × ${one}`)
    .join(', ');

/**
 * @param alive ms until the server said that it is ready
 * @param kept how many entries that somebody else recorded meanwhile are there
 */
export function writeReport(lines: readonly Line[], alive: number, kept: string): void {
  const table = `${BEGIN}
Measured on ${new Date().toISOString().slice(0, 10)} by \`npm run bench:attack\`, on ${cpus().length} cores
(${cpus()[0]?.model ?? ''}), attackers, server and database on the same machine. *Others* is the longest
that somebody else waited for an entry of theirs meanwhile.

| attack | what came of it | others |
|---|---|---|
${lines.map(({ attack, came, others }) => `| ${attack} | ${came} | ${others} |`).join('\n')}

Afterwards the server is ready (${ms(alive)}), and all ${kept} entries that somebody else recorded in the
group’s notebook meanwhile are there.
${END}`;
  const file = join(import.meta.dirname, '../docs/security.md');
  const text = readFileSync(file, 'utf8');
  writeFileSync(
    file,
    text.includes(BEGIN)
      ? `${text.slice(0, text.indexOf(BEGIN))}${table}${text.slice(text.indexOf(END) + END.length)}`
      : `${text.trimEnd()}\n\n## Attacked\n\n${table}\n`,
  );
}
