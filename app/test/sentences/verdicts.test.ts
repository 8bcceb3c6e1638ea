import '../guide';
import * as fc from 'fast-check';
import { type Case, type CompiledTaxon, type Verdict, decide, plan } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { guide } from '../../src/deciding/guide';
import { reasonWords } from '../../src/text/reasons';
import { aroundLine, briefLine, stripLine } from '../../src/text/strip';
import { faultsOf } from '../faulty';
import { value, at } from './kit';

const maybe = <T>(one: fc.Arbitrary<T>) => fc.option(one, { nil: undefined });
/** A find of this taxon, true or not, with any context. */
function finds(target: CompiledTaxon): fc.Arbitrary<object> {
  const { kingdom, parts, harmfulParts = [] } = target.taxon;
  const stages = guide.guide.stages.filter((stage) => stage.kingdom === kingdom).map(({ id }) => id);
  const asked = guide.characters
    .map(({ character }) => character)
    .filter((character) => character.kingdom === kingdom);
  const readings = fc.array(
    fc.constantFrom(...asked).chain((character) =>
      fc.record({
        character: fc.constant(character.id),
        value: value(character),
        piece: fc.constantFrom('p1', 'p1', 'p2'),
        sureness: fc.constantFrom('sure', 'fairly', 'guess'),
        by: fc.constantFrom('mirel', 'tam'),
      }),
    ),
    { maxLength: 24 },
  );
  const known = [
    ...parts.map(({ part, use }) => ({ part, use })),
    ...harmfulParts.map(({ part }) => ({ part, use: 'food' })),
  ];
  return fc
    .record({
      readings,
      wanted: known.length > 0 ? maybe(fc.constantFrom(...known)) : fc.constant(undefined),
      context: fc.record({
        stages: maybe(fc.subarray(stages, { minLength: 1, maxLength: 2 })),
        condition: maybe(
          fc.constantFrom('fresh', 'ripe', 'unripe', 'wilted', 'woody', 'insect-eaten', 'frosted', 'rotten'),
        ),
        permission: maybe(fc.constantFrom('allowed', 'forbidden', 'unknown')),
        contamination: maybe(
          fc.constantFrom('none-seen', 'sprayed', 'roadside', 'flooded', 'fouled', 'polluted', 'unknown'),
        ),
        protection: maybe(fc.constantFrom('allowed', 'protected', 'unknown')),
        growsMixed: maybe(fc.boolean()),
        tracedToBase: maybe(fc.boolean()),
        month: maybe(fc.integer({ min: 1, max: 12 })),
        elevation: maybe(fc.integer({ min: 0, max: 3000 })),
        neighbours: maybe(
          fc.subarray(
            guide.taxa.filter(({ grade }) => grade === 'deadly').map(({ id }) => id),
            { minLength: 1, maxLength: 4 },
          ),
        ),
        eaters: maybe(fc.constant([{ name: 'Tam', cautions: ['ulcer', 'pregnancy', 'child'] }])),
      }),
      policy: maybe(
        fc.record({
          secondLook: maybe(fc.constant(['deadly', 'serious'])),
          secondLookWhenUnreviewed: maybe(fc.boolean()),
          earned: maybe(fc.constant(['deadly'])),
          groupsNeeded: maybe(fc.constant(10)),
          place: maybe(fc.constant('ignored')),
        }),
      ),
      withdrawn: fc.boolean(),
      skipped: fc.subarray(
        asked.map(({ id }) => id),
        { maxLength: 2 },
      ),
    })
    .map(
      ({ readings: all, wanted, context, policy, withdrawn, skipped }) =>
        JSON.parse(
          JSON.stringify({
            guide: { id: guide.guide.id },
            kingdom,
            target: target.id,
            pieces: [
              { id: 'p2', startedAt: at(0), purpose: 'compare' },
              { id: 'p1', startedAt: at(1), purpose: 'decide' },
            ],
            readings: all.map((one, index) => ({ ...one, id: `r${index}`, at: at(index + 2) })),
            ...(withdrawn && all.length > 0 ? { withdrawals: [{ reading: 'r0', at: at(50) }] } : {}),
            skips: skipped.map((character) => ({ character, piece: 'p1', at: at(51) })),
            context: { ...context, ...wanted },
            ...(policy ? { policy } : {}),
          }),
        ) as object,
    );
}

const SENTENCE = /^[A-Z0-9][^]*[.?]$/;
const ids = guide.taxa.map(({ id }) => id);
/** What is wrong with a line, after the line itself; nothing where nothing is. */
function wrongWith(line: string): string[] {
  const wrong = [
    ...(SENTENCE.test(line) ? [] : ['no sentence']),
    ...faultsOf(line),
    ...ids.filter((id) => line.includes(id)),
  ];
  return wrong.length > 0 ? [line, ...wrong] : [];
}
function linesOf(verdict: Verdict): string[] {
  return [
    ...verdict.reasons.map((reason) => reasonWords(reason, verdict)),
    stripLine(verdict),
    aroundLine(verdict),
  ];
}

test.each(guide.taxa.map((taxon) => [taxon.id, taxon] as const))(
  '%s, whatever is seen of it',
  (_, target) => {
    const decided: { find: Case; verdict: Verdict }[] = [];
    fc.assert(
      fc.property(finds(target), (raw) => {
        const find = parseCase(raw, guide);
        const verdict = decide(guide, find);
        expect(linesOf(verdict).flatMap(wrongWith)).toEqual([]);
        if (verdict.outcome === 'pause') expect(stripLine(verdict).length).toBeLessThanOrEqual(160);
        // The same in brief: never longer, and with the same number of dangerous ones that are open.
        const brief = briefLine(verdict);
        expect(brief.length).toBeLessThanOrEqual(stripLine(verdict).length);
        expect(faultsOf(brief)).toEqual([]);
        const open = verdict.reasons.filter(({ code }) => code === 'bars-short').length;
        if (/not ruled out yet$/.test(brief)) expect(brief).toBe(`${open} not ruled out yet`);
        decided.push({ find, verdict });
      }),
      { numRuns: 12 },
    );
    // What is planned for it is said in its time, and not where nothing is to be planned. A plan takes a hundred
    // times as long as a verdict, so it is made for one find.
    const one = decided.find(({ verdict }) => verdict.outcome === 'pause') ?? decided[0]!;
    expect(stripLine(one.verdict, plan(guide, one.find))).toMatch(/[.]$/);
  },
);
