import { nextChecks, type CharacterId, type StateId } from '@pause/core';
import {
  confusionOf,
  EARNED,
  findOf,
  scoreOf,
  seenRightly,
  walkOf,
  type Encounter,
  type Read,
  type WalkDecision,
} from '@pause/core/practice';
import { seeded } from '@pause/core/season/weather';
import { guide } from '../core/test/finds';
import { pairs, percent, WEEKDAYS, weeksRow } from './forgetting';
import { writePage } from './page';

// ---- what somebody confuses ----

/**
 * Characters with states, each of which is taken for one other at a rate of its own; and how often which word
 * of sureness is said.
 */
export function planted(
  seed: number,
): ReadonlyMap<CharacterId, { readonly rate: number; readonly takes: ReadonlyMap<StateId, StateId> }> {
  const draw = seeded(seed);
  return new Map(
    guide.characters
      .filter(({ character }) => character.kind === 'states')
      .slice(0, 24)
      .map(({ id, stateBit }) => {
        const states = [...stateBit.keys()] as StateId[];
        const takes = new Map(
          states.map(
            (state, index) =>
              [
                state,
                states[(index + 1 + Math.floor(draw() * (states.length - 1))) % states.length] ?? state,
              ] as const,
          ),
        );
        return [id, { rate: 0.25 * draw() ** 2, takes }];
      }),
  );
}

const SAYS_SURE = { right: 0.8, wrong: 0.45 };

/** So many drills of somebody with this eye. */
export function drilled(eye: ReturnType<typeof planted>, times: number, seed: number): Read[] {
  const draw = seeded(seed);
  const all = [...eye];
  return Array.from({ length: times }, (_, at): Read => {
    const [character, { rate, takes }] = all[at % all.length] as (typeof all)[number];
    const states = [...takes.keys()];
    const shown = states[Math.floor(draw() * states.length)] as StateId;
    const wrong = draw() < rate;
    return {
      character,
      shown,
      read: wrong ? (takes.get(shown) as StateId) : shown,
      sureness: draw() < (wrong ? SAYS_SURE.wrong : SAYS_SURE.right) ? 'sure' : 'fairly',
    };
  });
}

function recovered(drills: number) {
  let [inside, all, width, rightPairs, pairs, sure] = [0, 0, 0, 0, 0, 0];
  const learners = 40;
  let sureTruth = 0;
  for (let seed = 1; seed <= learners; seed += 1) {
    const eye = planted(seed);
    const found = confusionOf(drilled(eye, drills, seed * 101));
    for (const [character, { rate }] of eye) {
      const span = found.byCharacter.get(character);
      if (!span) continue;
      all += 1;
      inside += Number(rate >= span.low && rate <= span.high);
      width += span.high - span.low;
    }
    for (const { character, shown, read } of found.pairs) {
      pairs += 1;
      rightPairs += Number(eye.get(character)?.takes.get(shown) === read);
    }
    const mean = [...eye.values()].reduce((sum, { rate }) => sum + rate, 0) / eye.size;
    const truth = (mean * SAYS_SURE.wrong) / (mean * SAYS_SURE.wrong + (1 - mean) * SAYS_SURE.right);
    sureTruth += truth;
    sure += Number(truth >= found.calibration.sure.low && truth <= found.calibration.sure.high);
  }
  return {
    inside: inside / all,
    width: width / all,
    pairs: pairs === 0 ? 1 : rightPairs / pairs,
    sure: sure / learners,
    sureTruth: sureTruth / learners,
  };
}

// ---- scoring ----

type Decide = (encounter: Encounter) => { readonly looked: CharacterId[]; readonly decided: WalkDecision };
const carefully: Decide = ({ specimen, target }) => {
  const looked: CharacterId[] = [];
  for (let step = 0; step < 25; step += 1) {
    const [next] = nextChecks(guide, findOf(guide, specimen, target, seenRightly(specimen, looked)));
    if (!next || looked.includes(next.character)) break;
    looked.push(next.character);
    if (
      scoreOf(guide, { specimen, target, looks: seenRightly(specimen, looked), decided: 'not-yet' }).verdict
        .outcome === 'collect'
    )
      return { looked, decided: 'collect' };
  }
  return { looked, decided: 'leave' };
};

const glance: Decide = ({ specimen }) => ({
  looked: [...specimen.shows.keys()].slice(0, 2),
  decided: 'collect',
});

function scored(decide: Decide, walks: number) {
  let [points, dangerous, finds, looks] = [0, 0, 0, 0];
  for (let seed = 0; seed < walks; seed += 1) {
    for (const encounter of walkOf(guide, { seed, finds: 5, month: 9 })) {
      const { looked, decided } = decide(encounter);
      const { points: got, risked } = scoreOf(guide, {
        ...encounter,
        looks: seenRightly(encounter.specimen, looked),
        decided,
      });
      points += got;
      finds += 1;
      looks += looked.length;
      dangerous += Number(risked === 'deadly' || risked === 'serious');
    }
  }
  return `${(points / finds).toFixed(1)} | ${percent(dangerous / finds)} | ${(looks / finds).toFixed(1)}`;
}

async function run(): Promise<void> {
  const confusion = [60, 240, 960, 2400].map((drills) => {
    const { inside, width, pairs: right, sure, sureTruth } = recovered(drills);
    return (
      `| ${drills} | ${Math.round(drills / 24)} | ${percent(inside)} | ${percent(width)} | ` +
      `${percent(right)} | ${percent(sure)} (true rate ${percent(sureTruth)}) |`
    );
  });
  const text = `# Learning the pairs

*Written by \`npm run bench:learning\`.*

Specimens that never existed are made of what the guide states (\`core/src/practice/specimen.ts\`; over all
taxa and stages none leaves what is possible, and where nothing is strained none leaves what is usual:
\`core/test/learn/specimens.test.ts\`). Each pair, character, term and order of stages is a card; a model
of how people forget (FSRS, of \`ts-fsrs\`) says when to look at it again. What was superseded in earnest
counts more than a drill: a slip there is told to the model twice, a stray that was let through three times.

**Earned** is a pair that was looked at ${EARNED.times} times or more, of which the model says that it
would be remembered for ${EARNED.stabilityDays} days and is remembered now with at least
${percent(EARNED.remembered)}, and that was not mistaken dangerously for ${EARNED.withoutDangerousDays}
days, in practice or in earnest. It fades by itself. It fills no bar; a group may ask for it besides all bars.

## What somebody confuses is found again

Forty learners with 24 characters, each of which they misread at a rate of their own (0 to 25 %), one state
for one other. After so many drills: how often the true rate lies in the span that is shown (made to be
eight of ten), how wide the span is, how many of the confusions that are named were planted, and how often
the true rate of being wrong when "sure" lies in its span.

| drills | of each character | true rate in the span | width of the span | named as planted | "sure" in its span |
|---|---|---|---|---|---|
${confusion.join('\n')}

With few drills the span leans on what is usual for everybody, and is too low for whoever misreads one
character far more often; it widens to the truth with practice. Only rates from a dozen looks on are used
elsewhere, and there they order and tell chances; they never take a bar away.

## When to look again

${pairs.length} pairs of the guide; a learner who forgets in another way than the schedule supposes
(\`Forgetful\`: an exponential, with more gained the more had faded, and pairs of unlike difficulty),
${WEEKDAYS} days a week for eight weeks, three drills a minute. Beside it all pairs equally often, at the
same minutes. *Taken for it*: of serious and deadly lookalikes met on the last day, the share that is taken
for what one looks for, where whoever does not know guesses.

| minutes a day | drills | taken for it | taken for it, all equally often | earned | earned, all equally often |
|---|---|---|---|---|---|
${[2, 3, 5, 10].map(weeksRow).join('\n')}

Minutes that are left when nothing is due go to what harms and is remembered least.

## The practice wood can't be gamed

Points for a find by how it is decided. A dangerous one taken costs up to 100, what was right by luck up to
30; a needless walk away costs 3.

| | points a find | serious or deadly risked | looks a find |
|---|---|---|---|
| looks until all bars are filled, else leaves | ${scored(carefully, 12)} |
| always collects | ${scored(() => ({ looked: [], decided: 'collect' }), 60)} |
| two looks, then collects | ${scored(glance, 30)} |
| always leaves | ${scored(() => ({ looked: [], decided: 'leave' }), 60)} |
| never decides | ${scored(() => ({ looked: [], decided: 'not-yet' }), 60)} |
`;
  await writePage('learning', text);
  console.log(text);
}

if (process.argv[1]?.endsWith('learning.ts')) void run();
