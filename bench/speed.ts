import highsLoader from 'highs';
import {
  buildProblem,
  compileGuide,
  decide,
  evaluate,
  nextChecks,
  solve,
  viewCase,
  type Case,
  type CompiledGuide,
  type PlanProblem,
} from '@pause/core';
import { recompute, recomputer } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';
import { followed } from './followed';
import { writePage } from './page';
import { plainDecideAndNext } from './plain';
import { asProgramme } from './programme';
import { syntheticFind, syntheticGuide } from './synthetic';
import { quantile, times } from './timing';

/** Speed of the core: npm run bench:speed. Every figure has a baseline beside it, measured in the same run. */

const lines: string[] = [];
const say = (line: string) => {
  lines.push(line);
  process.stdout.write(`${line}\n`);
};

const ms = (value: number) => (value < 10 ? value.toFixed(2) : value.toFixed(0));

function decideAndNext(guide: CompiledGuide, find: Case): void {
  evaluate(guide, find);
}

say('# Speed\n');
say(
  `Measured by \`npm run bench:speed\` on Node.js ${process.version}, ` +
    `${new Date().toISOString().slice(0, 10)}, one core of two.\n`,
);

const shipped = compileGuide(shippedGuide());
say('## Recompute\n');
// Finds as they are kept: nine readings each, mostly collected.
const stored = shipped.taxa
  .filter((t) => t.taxon.parts.length > 0)
  .map((target) => {
    const find = followed(shipped, target);
    return { find, verdict: decide(shipped, find) };
  });
/**
 * The guide with these corrections: each lets one dangerous taxon show one more state of a character, as
 * reviewers find they do.
 */
function corrected(which: readonly number[]): CompiledGuide {
  const raw = structuredClone(shippedGuide());
  const statements = raw.taxa
    .filter((t) => t.harm.grade !== 'none')
    .flatMap((t) => t.statements.flatMap((s) => ('usual' in s ? [s] : [])));
  for (const nth of which) {
    const statement = statements[nth % statements.length]!;
    const more = shipped.character(statement.character)?.stateBit.keys() ?? [];
    const unsaid = [...more].filter(
      (state) => ![...statement.usual, ...(statement.occasional ?? [])].includes(state as never),
    );
    if (unsaid.length > 0)
      Object.assign(statement, {
        occasional: [...(statement.occasional ?? []), unsaid[nth % unsaid.length]],
      });
  }
  return compileGuide(raw);
}

function perSecond(again: (one: (typeof stored)[number]) => unknown): number {
  for (let warm = 0; warm < 10; warm += 1) for (const one of stored) again(one);
  let done = 0;
  const start = performance.now();
  while (performance.now() - start < 500) {
    again(stored[done % stored.length]!);
    done += 1;
  }
  return done / ((performance.now() - start) / 1000);
}

const rate = (seconds: readonly number[]) =>
  Math.round(seconds.length / seconds.reduce((sum, persecond) => sum + 1 / persecond, 0)).toLocaleString(
    'en',
  );
const single = Array.from({ length: 24 }, (_, i) => recomputer(shipped, corrected([i * 37])));
const twenty = Array.from({ length: 6 }, (_, k) =>
  recomputer(shipped, corrected(Array.from({ length: 20 }, (_unused, i) => (k * 20 + i) * 13))),
);

const anew = corrected([0]);
say(
  'Stored verdicts a second on one core, the structural difference included. A correction lets a dangerous ' +
    'taxon show one more state of one character; only what it touches is decided again. The mean is over all ' +
    'stored verdicts of all corrections.\n',
);
say('| what changed | verdicts a second |\n|---|---|');
say(`| one correction (mean of ${single.length}) | ${rate(single.map(perSecond))} |`);
say(`| twenty corrections at once (mean of ${twenty.length}) | ${rate(twenty.map(perSecond))} |`);
say(`| everything: checked, decided and compared again | ${rate([perSecond((s) => recompute(s, anew))])} |`);

say('\n## Decide, with what it leans on and the next check\n');
say(
  'Synthetic guides of 300 characters; 30 sure readings; milliseconds. The baseline is the same rules taxon ' +
    'by taxon over objects and arrays, scoring 20 checks only (its time for all of them is in proportion).\n',
);
say(
  '| taxa | dangerous | decide p50 | decide p95 | next p50 | both p95 | baseline, 20 checks | ratio ' +
    '|\n|---|---|---|---|---|---|---|---|',
);
for (const taxa of [100, 1000, 5000, 20_000]) {
  const raw = syntheticGuide(taxa, 300, 7);
  const guide = compileGuide(raw);
  const finds = Array.from({ length: 40 }, (_, i) => syntheticFind(raw, 30, i));
  for (const find of taxa > 5000 ? finds.slice(0, 6) : finds) decideAndNext(guide, find);
  const one = times(finds.length, (i) => decide(guide, finds[i]!));
  const two = times(finds.length, (i) => nextChecks(guide, finds[i]!));
  const both = times(finds.length, (i) => decideAndNext(guide, finds[i]!));
  const plain = quantile(
    times(taxa > 5000 ? 1 : 3, (i) => plainDecideAndNext(guide, finds[i]!, 20)),
    0.5,
  );
  say(
    `| ${taxa} | ${guide.taxa.filter((t) => t.grade !== 'none').length} | ${ms(quantile(one, 0.5))} | ` +
      `${ms(quantile(one, 0.95))} | ${ms(quantile(two, 0.5))} | ${ms(quantile(both, 0.95))} | ${ms(plain)} | ` +
      `${Math.round(plain / quantile(both, 0.5))}× |`,
  );
}

say('\n## Plan, against the MILP solver HiGHS\n');
say('The optimum is the same every time, or this run fails.\n');
const highs = await highsLoader();
const [ours, theirs]: [number[], number[]] = [[], []];
say('| instances | how many | median | p95 | HiGHS median | ratio of medians |\n|---|---|---|---|---|---|');
function compare(name: string, mine: readonly number[], other: readonly number[]): void {
  say(
    `| ${name} | ${mine.length} | ${ms(quantile(mine, 0.5))} ms | ${ms(quantile(mine, 0.95))} ms | ` +
      `${ms(quantile(other, 0.5))} ms | ${(quantile(other, 0.5) / quantile(mine, 0.5)).toFixed(0)}× |`,
  );
}

/** One instance by both; a run with two optima fails. What has no plan is left out. */
function measure(name: string, problem: PlanProblem, mine: number[], other: number[]): void {
  if (problem.unseen.length > 0) return;
  const cost = solve(problem)?.cost;
  if (cost === undefined) return;
  mine.push(
    quantile(
      times(5, () => solve(problem)),
      0.5,
    ),
  );
  const programme = asProgramme(problem);
  let optimum = 0;
  other.push(
    quantile(
      times(1, () => {
        optimum = highs.solve(programme).ObjectiveValue;
      }),
      0.5,
    ),
  );
  if (Math.abs(cost - optimum) > 1e-6) throw new Error(`${name}: ${cost} is not the optimum ${optimum}`);
}
for (const target of shipped.taxa.filter((t) => t.taxon.parts.length > 0)) {
  for (const stage of target.taxon.stages) {
    const find = {
      guide: { id: shipped.guide.id },
      kingdom: target.taxon.kingdom,
      target: target.id,
      pieces: [{ id: 'p', startedAt: '2026-09-14T08:00:00.000Z', purpose: 'decide' }],
      readings: [],
      context: { stages: [stage] },
    } as unknown as Case;
    measure(
      `${target.id}, ${stage}`,
      buildProblem(shipped, viewCase(shipped, find), target, {}),
      ours,
      theirs,
    );
  }
}
compare('every target at every stage', ours, theirs);

// Random instances: made-up guides of fifty taxa and forty characters, half of the taxa dangerous.
const [oursRandom, theirsRandom]: [number[], number[]] = [[], []];
for (let seed = 1; seed <= 40; seed += 1) {
  const raw = syntheticGuide(50, 40, seed);
  const guide = compileGuide(raw);
  const find = { ...syntheticFind(raw, 0, seed), readings: [] };
  const target = guide.taxa[0]!;
  measure(`random ${seed}`, buildProblem(guide, viewCase(guide, find), target, {}), oursRandom, theirsRandom);
}
compare('random', oursRandom, theirsRandom);

await writePage('speed', lines.join('\n'));
