import {
  type StageId,
  partings,
  decide,
  type Look,
  largestIndependent,
  CAUSE_BIT,
  relationAtStages,
} from '../../src';
import { dangers, collectable, guide, find, goodContext } from '../finds';
import {
  subsets,
  GROUP_CAUSES,
  choices,
  withReading,
  type Cause,
  againstOf,
  causesThatMatter,
  groundsOf,
  restsOn,
  answers,
  canShow,
} from './kit';

test('the adversary is real: with k causes spoiled it does get through', () => {
  const danger = dangers.find((d) => d.id === 'cortinarius-rubellus');
  const target = collectable.find((t) => t.id === 'cantharellus-cibarius');
  if (!danger || !target) throw new Error('both are in the guide');
  const stage = 'mature' as StageId;
  // Three of the groups by which the two are told apart, spoiled at once.
  const parted = new Set(partings(guide, target, danger, [stage]).map((p) => guide.groups.indexOf(p.group)));
  const through = subsets(
    3,
    GROUP_CAUSES.filter((cause) => parted.has(cause.group)),
  ).some((spoiled) => {
    const { best, instead } = choices(danger, target, stage, spoiled);
    return [best, ...instead.map((look) => withReading(best, look))].some((looks) => {
      const verdict = decide(
        guide,
        find(
          target.id,
          looks.map((l) => l.reading),
          { context: goodContext(target, stage) },
        ),
      );
      return verdict.rows.find((row) => row.taxon === danger.id)?.bars.length === 3;
    });
  });
  expect(through).toBe(true);
});

describe('every rule is needed: without it two spoiled causes get through', () => {
  // Grounds that two spoiled causes can make against a deadly taxon, counted by a rule that is broken in one
  // way.
  type Grounds = readonly { readonly group: number; readonly causes: number }[];
  const worst = (
    count: (grounds: Grounds) => number,
    spoiling: (looks: Look[], spoiled: readonly Cause[]) => Look[],
  ) =>
    Math.max(
      ...dangers
        .filter((danger) => danger.grade === 'deadly')
        .flatMap((danger) => {
          const against = [...againstOf(danger)];
          return subsets(2, causesThatMatter(danger)).map((spoiled) =>
            count(groundsOf(spoiling(against, spoiled))),
          );
        }),
    );
  const spoilt = (looks: Look[], spoiled: readonly Cause[]) =>
    looks.filter((look) => spoiled.some((cause) => restsOn(look, cause)));

  test('as it is, two causes make at most two bars', () => {
    expect(worst((g) => largestIndependent(g).length, spoilt)).toBe(2);
  });

  test('counting readings instead of groups', () => {
    expect(worst((g) => g.length, spoilt)).toBeGreaterThanOrEqual(3);
  });

  test('counting groups and forgetting the causes they share', () => {
    expect(worst((g) => new Set(g.map((x) => x.group)).size, spoilt)).toBeGreaterThanOrEqual(3);
  });

  // In this guide no deadly taxon has three grounds on smells, numbers or absences, so only colour shows it
  // here.
  test('forgetting that readings share colour', () => {
    const forget = (g: Grounds) =>
      largestIndependent(g.map((x) => ({ ...x, causes: x.causes & ~CAUSE_BIT.colour }))).length;
    expect(worst(forget, spoilt)).toBeGreaterThanOrEqual(3);
  });

  test('judging a dangerous taxon at one stage instead of all', () => {
    // A mistaken stage is no cause of the model; so a rule that trusted it would let true readings be
    // grounds.
    const trusting = dangers.some((danger) =>
      [...answers.values()]
        .flat()
        .some(
          (look) =>
            !look.character.place &&
            danger.taxon.stages.some((stage) => relationAtStages(look, danger, [stage]) === 'against') &&
            canShow(danger, look) &&
            danger.taxon.stages.some((real) =>
              ['fits', 'strains'].includes(relationAtStages(look, danger, [real])),
            ),
        ),
    );
    expect(trusting).toBe(true);
  });
});
