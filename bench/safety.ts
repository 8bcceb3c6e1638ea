import { writeFileSync } from 'node:fs';
import { compileGuide, type CompiledTaxon } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { branchingKey, mostMatched, probable } from './simulate/baselines';
import type { Temper } from './simulate/observer';
import { followPause, type Ended } from './simulate/protocol';
import { random } from './synthetic';

/**
 * How safe it is, in simulation: npm run bench:safety [specimens a row]. Dangerous specimens are taken for a target
 * that lists them (or any of their kingdom); true ones are checked at a stage at which they are worth having.
 */

const guide = compileGuide(shippedGuide());
const targets = guide.taxa.filter((t) => t.taxon.parts.length > 0);
const EACH = Number(process.argv[2] ?? 20_000);
const WAYS = {
  'Pause': followPause, 'most features matched': mostMatched, 'probability over 0.95': probable(0.95), 'probability over 0.99': probable(0.99), 'branching key': branchingKey,
} as const;
/** The slower ways are tried on fewer specimens. */
const SHARE: Readonly<Record<keyof typeof WAYS, number>> = { 'Pause': 1, 'most features matched': 0.5, 'probability over 0.95': 0.25, 'probability over 0.99': 0.25, 'branching key': 1 };

function takenFor(danger: CompiledTaxon): CompiledTaxon[] {
  const listing = targets.filter((t) => t.taxon.lookalikes.includes(danger.id));
  return listing.length > 0 ? listing : targets.filter((t) => t.taxon.kingdom === danger.taxon.kingdom);
}
const one = <T>(items: readonly T[], next: () => number): T => items[Math.floor(next() * items.length)]!;
const stageOf = (target: CompiledTaxon, next: () => number) => one(target.taxon.parts.flatMap((p) => p.stages), next);
const median = (values: number[]) => values.sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;

function row(way: keyof typeof WAYS, temper: Temper): string {
  const n = Math.round(EACH * SHARE[way]);
  const next = random(20260914);
  const decideBy = WAYS[way];
  const falsely = (grade: 'deadly' | 'serious') => {
    const dangers = guide.taxa.filter((t) => t.grade === grade);
    let collected = 0;
    for (let i = 0; i < n; i += 1) {
      const danger = one(dangers, next);
      const target = one(takenFor(danger), next);
      if (decideBy(guide, danger, target, stageOf(target, next), temper, next).outcome === 'collect') collected += 1;
    }
    return (collected / n) * 100_000;
  };
  const deadly = falsely('deadly');
  const serious = falsely('serious');
  const ends: Ended[] = [];
  for (let i = 0; i < n / 4; i += 1) {
    const target = one(targets, next);
    ends.push(decideBy(guide, target, target, stageOf(target, next), temper, next));
  }
  const reached = ends.filter((e) => e.outcome === 'collect');
  const share = ((reached.length / ends.length) * 100).toFixed(1);
  return `| ${way} | ${temper.misread * 100} % | ${temper.repeat} | ${temper.hopeful ? 'yes' : 'no'} | ${deadly.toFixed(1)} | ${serious.toFixed(1)} | ${share} % | ${median(reached.map((e) => e.checks))} | ${median(reached.map((e) => e.seconds))} | ${n.toLocaleString('en')} |`;
}

const lines = [
  '# Safety, in simulation', '',
  `\`npm run bench:safety\`, guide \`${guide.version.slice(0, 12)}\` of ${guide.taxa.length} taxa. Specimens vary within the guide's statements; observers misread whole causes at once (a group, all colours, all smells, all numbers, all absences).`,
  'The hopeful misread twice as often and nine times of ten towards what they want, skip half of what they dislike, and start again on up to two more pieces. Whoever sees through a mistake once does not make it again.', '',
  'Read with care: the guide is small, and these runs are too. With so few specimens a figure of 0 only says that it is rare. What is still wanted: far fewer serious mistakes of the hopeful, and more true specimens that reach *collect* when mistakes are repeated.', '',
  'False *collect* per 100,000 dangerous specimens; share of true specimens at a good stage that reach *collect*; checks and seconds are medians of those.', '',
  '| way | misread | repeats a mistake | hopeful | deadly | serious | true ones reach it | checks | seconds | dangerous specimens |', '|---|---|---|---|---|---|---|---|---|---|',
];
process.stdout.write(`${lines.join('\n')}\n`);
for (const way of Object.keys(WAYS) as (keyof typeof WAYS)[]) {
  for (const [misread, repeat, hopeful] of [[0.03, 0.5, false], [0.08, 0.5, false], [0.08, 0, false], [0.2, 0.5, false], [0.08, 0.5, true]] as const) {
    const line = row(way, { misread, repeat, hopeful });
    lines.push(line);
    process.stdout.write(`${line}\n`);
  }
}
writeFileSync('docs/safety.md', `${lines.join('\n')}\n`);
