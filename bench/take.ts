import {
  costOf,
  growth,
  isTaken,
  KEEP_CHANCE,
  KEEP_YEARS,
  LIVES,
  offspringOf,
  project,
  SCHOOL_SHARES,
  shareOf,
  yearOf,
  type LifeForm,
} from '@pause/core/harvest/taking';
import { normal, seeded } from '@pause/core/season/weather';
import { writePage } from './page';

/**
 * Whether a patch of which the ceiling is taken every year is still as large after fifty years that differ
 * from one another, beside shares that are the same for everything. `npm run bench:take` writes docs/take.md.
 */
const PATCHES = 4000;

export interface Kept {
  readonly lifeForm: LifeForm;
  readonly part: string;
  readonly share: number;
  /** Share of the patches that are no smaller after the years. */
  readonly kept: number;
}

/**
 * Patches whose rates differ, through years that differ, from its stages as they usually stand or as they
 * were counted (and then by those of which something is taken): each year's growth is its own, and all of a
 * patch's years share what is the patch's own.
 */
export function kept(
  lifeForm: LifeForm,
  part: string,
  share: number,
  patches: number,
  seed: number,
  counted?: readonly number[],
): number {
  const life = LIVES[lifeForm];
  const matrix = yearOf(life, offspringOf(life), part, costOf(part, lifeForm), share);
  const all = counted?.reduce((a, b) => a + b, 0) ?? 1;
  const stages = counted?.map((one) => one / all) ?? growth(matrix).stages;
  const taken = (some: readonly number[]) =>
    some.reduce(
      (sum, one, at) => sum + (counted === undefined || isTaken(part, at, some.length) ? one : 0),
      0,
    );
  const draw = normal(seeded(seed));
  let still = 0;
  for (let patch = 0; patch < patches; patch += 1) {
    const own = draw() * life.betweenPatches;
    let now: readonly number[] = stages.map((one) => one * 1000);
    for (let year = 0; year < KEEP_YEARS; year += 1) {
      const factor = Math.exp(own + draw() * life.betweenYears - life.betweenYears ** 2 / 2);
      now = project(matrix, now).map((one) => one * factor);
    }
    if (taken(now) >= 1000 * taken(stages)) still += 1;
  }
  return still / patches;
}

const CASES: readonly (readonly [LifeForm, string, string])[] = [
  ['annual', 'flower', 'Flowers of an annual'],
  ['biennial', 'fruit', 'Seed of a biennial'],
  ['perennial', 'leaf', 'Leaves of a perennial'],
  ['perennial', 'root', 'Roots of a perennial'],
  ['clonal', 'leaf', 'Leaves of one with runners'],
  ['shrub', 'fruit', 'Fruit of a shrub'],
  ['tree', 'fruit', 'Fruit of a tree'],
  ['mycelium', 'fruiting-body', 'Fruiting bodies'],
];
const percent = (share: number) => `${(100 * share).toFixed(share < 0.1 ? 1 : 0)} %`;

async function run(): Promise<void> {
  const rows = CASES.map(([lifeForm, part, name], index) => {
    const share = shareOf(lifeForm, part);
    return (
      `| ${name} | ${percent(share)} | ` +
      `${[share, ...SCHOOL_SHARES]
        .map((one) => percent(kept(lifeForm, part, one, PATCHES, 100 + index)))
        .join(' | ')} |`
    );
  });
  const text = `# How much to take

*Written by \`npm run bench:take\`.*

The amount is the least of four ceilings (\`core/src/harvest/taking/ceilings.ts\`): what is needed, what
the patch bears, what place and law allow, and what fits and can be made ready before it spoils. What
nobody recorded is asked for and does not bind; that nobody knows whether one may pick leaves no amount at all.

## What a patch bears

A year of a patch is a matrix of stages: young, grown, bearing (\`life.ts\`; Lefkovitch 1965, Caswell).
Taking a part costs what that part is to the plant: a root its life, a leaf some of its strength, fruit its
offspring, a fruiting body hardly anything. Rates are general for each way of living, no measurement of any
patch, and the spread between patches and between years stands beside them. The ceiling is the largest
share that, taken every year, leaves the patch no smaller after ${KEEP_YEARS} years with a chance of
${percent(KEEP_CHANCE)} (\`patch.ts\`): growth in the long run is that of the matrix less half the variance
between years (Tuljapurkar), and the chance follows from both spreads. It is taken of the fewest that there may be by the count; what was taken before and has not grown again is taken off it; of fewer than ten hardly anything is taken, and nothing that ends a plant. An invader may be taken whole. Where young, grown and bearing ones were counted apart, the projection begins with these: it is to have as many again of which something can be taken, and where it renews itself less than such a patch usually does, less is taken (population momentum, \`matrix.ts\`); more young than usual allow no more, since most of them die before.

## Fifty years

${PATCHES.toLocaleString('en')} patches of each kind, each with rates of its own, through ${KEEP_YEARS}
years that differ. Share of them that are no smaller in the end, where every year this much is taken:

| | the ceiling | kept with the ceiling | kept with a tenth | with a quarter | with a third |
|---|---|---|---|---|---|
${rows.join('\n')}

One share for everything is far too much for roots and needlessly little for what lives on by its runners.
`;
  console.log(text);
  await writePage('take', text);
}

if (process.argv[1]?.endsWith('take.ts')) void run();
