import { compileGuide, decide, type Case, type CompiledGuide, type Verdict } from '@pause/core';
import { parseGuide } from '@pause/core/guide/parse';
import { descentOf, type Descendant } from '@pause/core/pantry';
import { recall, recallPlainly, type Cause } from '@pause/core/pantry/recall';
import { recomputer } from '@pause/core/questions';
import { seeded } from '@pause/core/season/weather';
import { shippedGuide } from '@pause/guide';
import { collectable, followChecks, guide } from '../core/test/finds';
import { writePage } from './page';
import { onServer } from './recallServer';

/**
 * Finding everything again after a guide was corrected, over more and more finds and batches; `npm run
 * bench:recall` writes docs/recall.md.
 */

const SIZES = [
  [12_500, 2_500],
  [25_000, 5_000],
  [50_000, 10_000],
  [100_000, 20_000],
] as const;

/** The same guide, in which a dangerous lookalike turns out to be more varied than was known. */
function correctedGuide(): CompiledGuide {
  const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
    taxa: { id: string; statements: { character: string; usual?: string[]; occasional?: string[] }[] }[];
  };
  const readings = followChecks('cantharellus-cibarius').readings;
  for (const { character, value } of readings) {
    const statement = raw.taxa
      .find(({ id }) => id === 'omphalotus-olearius')
      ?.statements.find((one) => one.character === character);
    if (statement?.usual && value.kind === 'states')
      statement.occasional = value.states.filter((state) => !statement.usual?.includes(state));
  }
  return compileGuide(parseGuide(raw));
}

interface Kept {
  readonly id: string;
  readonly find: Case;
  readonly verdict: Verdict;
}

/**
 * Finds that were collected, each with a harvest; batches of some of them and of one another; and meals of
 * batches.
 */
function made(finds: number, batches: number): { kept: Kept[]; pages: Descendant[] } {
  const draw = seeded(20260914);
  const cases = collectable
    .map(({ id }) => followChecks(id))
    .map((find) => ({ find, verdict: decide(guide, find) }))
    .filter(({ verdict }) => verdict.outcome === 'collect');
  const kept = Array.from({ length: finds }, (_, at): Kept => {
    const one = cases[at % cases.length];
    if (!one) throw new Error('nothing to collect');
    return { id: `f${at}`, ...one };
  });
  const pages: Descendant[] = kept.map(({ id }, at) => ({ id: `h${at}`, kind: 'harvest', parents: [id] }));
  for (let at = 0; at < batches; at += 1) {
    const parents = Array.from({ length: 1 + Math.floor(draw() * 3) }, () =>
      at > 0 && draw() < 0.3 ? `b${Math.floor(draw() * at)}` : `h${Math.floor(draw() * finds)}`,
    );
    pages.push(
      { id: `b${at}`, kind: 'batch', parents },
      { id: `m${at}`, kind: 'portion', parents: [`b${at}`] },
    );
  }
  return { kept, pages };
}

const since = (start: number) => performance.now() - start;
const seconds = (ms: number) => `${(ms / 1000).toFixed(ms < 1000 ? 2 : 1)} s`;

async function run(): Promise<void> {
  const corrected = correctedGuide();
  const rows = SIZES.map(([finds, batches]) => {
    const { kept, pages } = made(finds, batches);
    let start = performance.now();
    const ask = recomputer(guide, corrected);
    const causes = kept.flatMap((one): Cause[] => {
      const { verdict, difference } = ask(one);
      return difference.recalled && verdict.outcome !== 'collect'
        ? [{ code: 'verdict', of: one.id, because: 'guide', outcome: verdict.outcome, grade: 'serious' }]
        : [];
    });
    const asked = since(start);
    start = performance.now();
    const descent = descentOf(pages);
    const hits = recall(descent, causes);
    const walked = since(start);
    start = performance.now();
    const plain = recallPlainly(
      descent,
      kept.flatMap((one): Cause[] => {
        const { outcome } = decide(corrected, one.find);
        return outcome === 'collect'
          ? []
          : [{ code: 'verdict', of: one.id, because: 'guide', outcome, grade: 'serious' }];
      }),
    );
    const plainly = since(start);
    const same = hits.length === plain.size && hits.every(({ id }) => plain.has(id));
    if (!same) throw new Error(`found ${hits.length}, plainly ${plain.size}`);
    return (
      `| ${finds.toLocaleString('en')} | ${batches.toLocaleString('en')} | ` +
      `${causes.length.toLocaleString('en')} | ${hits.length.toLocaleString('en')} | ${seconds(asked)} | ` +
      `${seconds(walked)} | ${seconds(plainly)} | the same |`
    );
  });
  const server = (await onServer(corrected, SIZES)).map(
    (row) =>
      `| ${row.finds.toLocaleString('en')} | ${row.batches.toLocaleString('en')} | ` +
      `${row.touched.toLocaleString('en')} | ${row.causes.toLocaleString('en')} | ` +
      `${row.found.toLocaleString('en')} | ${seconds(row.quick * 1000)} | ${seconds(row.telling * 1000)} | ` +
      `${seconds(row.anew * 1000)} | the same |`,
  );
  const text = `# Recall

*Written by \`npm run bench:recall\`.*

What was gathered, made, eaten and given knows what it comes from (\`core/src/pantry/descent.ts\`).
Something no longer holds when the guide is corrected, a reading is taken back or made anew, the group's
rules change, who decided decides otherwise, or a dangerous stray is found (\`core/src/recall\`). Then
everything that descends from it is found, each thing once, with all its causes, the way by which it comes
from the first of them, and what to do: what only lies in a basket can be gone through again; what was cut,
cooked or dried cannot be told apart any more; what was eaten is asked after; and whoever was given some is named.

Each device asks again all that it keeps, also without a connection; the server asks every find that was
collected again once for each version of the guide, in a job that goes on where it was if it is killed, and
tells every person of what they have (\`server/src/recall\`).

## A corrected guide

One dangerous lookalike is found to be more varied than was known. Every find is asked again by what the
correction touches (\`recomputer\`), and descent is walked down; beside it every find is decided anew and
everything that was made is asked for all that it comes from. One core.

| finds | batches | no longer stand | found again | asking the finds | finding what descends | plainly | result |
|---|---|---|---|---|---|---|---|
${rows.join('\n')}

Both grow with how much there is.

## The same on the server

The same correction on the server, where finds are kept as devices sent them, in PostgreSQL. What the
difference between two versions cannot touch is passed over without being read: of every find that was
collected the server keeps what was read of it, and compares only what differs (\`movedBy\`). Beside it
every find is read and decided anew. Telling is working out all recalls of one person who owns every find and batch.

| finds | batches | touched | no longer stand | found again | asking what is touched | telling | everything anew | result |
|---|---|---|---|---|---|---|---|---|
${server.join('\n')}
`;
  await writePage('recall', text);
  console.log(text);
}

void run();
