import {
  MAY_DIG,
  answerEffects,
  decide,
  isDug,
  nextChecks,
  type Case,
  type Check,
  type Character,
  type CompiledTaxon,
  type Reading,
  type StageId,
} from '../src';
import { at, character, collectable, find, goodContext, guide, reading, taxon, usualValue } from './finds';

/**
 * What a careful person names of anything, written down once more: so a change to the one list shows in the
 * other.
 */
const CAREFUL: Readonly<Record<Character['kingdom'], Readonly<Record<string, readonly string[]>>>> = {
  Fungi: {
    underside: ['hymenophore'],
    flesh: ['flesh.', 'latex', 'section', 'cap.join'],
    colour: ['cap.colour', 'stipe.colour'],
    base: ['stipe.shape', 'volva'],
    ground: ['substrate', 'trees', 'fungus.habitat'],
  },
  Plantae: {
    leaf: ['leaf'],
    stem: ['stem.', 'twig.', 'bark.'],
    smell: ['leaf.smell', 'fruit.smell', 'flower.juice'],
    'flower or fruit': ['flower.', 'fruit.', 'umbel.', 'nut.'],
  },
};
const shows = (names: readonly string[], id: string) =>
  names.some((name) => id === name || id.startsWith(name.endsWith('.') ? name : `${name}.`));
const notLookedAt = (target: CompiledTaxon, readings: readonly Pick<Reading, 'character'>[]) =>
  Object.entries(CAREFUL[target.taxon.kingdom])
    .filter(([, names]) => !readings.some((one) => shows(names, one.character)))
    .map(([name]) => name);

interface Step {
  readonly before: Case;
  readonly character: string;
  readonly why: string;
}

/** The checks as somebody makes them who sees what is usual. */
function walk(target: CompiledTaxon, stage: StageId): Step[] {
  const steps: Step[] = [];
  for (let minute = 1; minute < 40; minute += 1) {
    const before = find(
      target.id,
      steps.map((step, n) =>
        reading(step.character, usualValue(target, character(step.character), stage) as object, {
          minute: n + 1,
        }),
      ),
      { context: goodContext(target, stage) },
    );
    const [check] = nextChecks(guide, before);
    if (!check || decide(guide, before).outcome !== 'pause') break;
    steps.push({ before, character: check.character, why: check.why });
  }
  return steps;
}

const walks = collectable.flatMap((target) =>
  [...new Set(target.taxon.parts.flatMap(({ stages }) => stages))].map(
    (stage) => [target.id, stage, target] as const,
  ),
);

test.each(walks)(
  '%s, %s: marks and what anybody looks at come before what only adds one more fit',
  (_, stage, target) => {
    for (const { before, character: id, why } of walk(target, stage)) {
      const usual = guide.character(id)?.stateBit ?? new Map<string, number>();
      const known = target.atStage.get(character(id).index)?.get(stage);
      const raised = answerEffects(guide, before, id as never).some(
        ({ state, bars }) =>
          known?.kind === 'states' &&
          (known.usual & (usual.get(state) ?? 0)) !== 0 &&
          bars.some((bar) => bar.to > bar.from),
      );
      // A number has no list of answers: it is measured only where that brings a bar.
      if (
        why !== 'brings-nearer' ||
        raised ||
        usual.size === 0 ||
        target.taxon.signature.includes(id as never)
      )
        continue;
      const missing = notLookedAt(target, before.readings);
      expect([id, missing]).toEqual([id, []]);
      expect([
        id,
        decide(guide, before).reasons.filter(
          (reason) =>
            reason.code === 'signature-missing' &&
            before.readings.every((one) => one.character !== reason.character),
        ),
      ]).toEqual([id, []]);
    }
  },
);

test('a hedgehog needs underside, flesh, colour, base and ground; its lobes count once', () => {
  const target = taxon('hydnum-repandum');
  const steps = walk(target, 'mature' as StageId);
  expect(notLookedAt(target, steps as never)).toEqual([]);
  expect(steps.filter(({ why }) => why === 'essential').length).toBeGreaterThan(0);
  const groups = (ids: readonly string[]) =>
    decide(
      guide,
      find(
        target.id,
        ids.map((id, n) => reading(id, id === 'cap.shape' ? 'irregular' : 'wavy', { minute: n + 1 })),
      ),
    ).reasons.find((reason) => reason.code === 'groups-short');
  expect(groups(['cap.shape', 'cap.margin'])).toEqual(groups(['cap.shape']));
});

test('the place is asked once, also where it could not be told, and not at all where the group leaves it out', () => {
  const target = taxon('hydnum-repandum');
  const steps = walk(target, 'mature' as StageId);
  const at = steps.findIndex(({ character: id }) => character(id).place);
  const before = steps[at]?.before;
  if (!before) throw new Error('nobody asked for the place');
  const places = (find: Case) =>
    nextChecks(guide, find)
      .filter((check) => character(check.character).place)
      .map((check) => check.character);
  expect(places(before)).toHaveLength(1);
  const [id] = places(before);
  const unknown: Reading = {
    id: 'unknown' as never,
    piece: 'p1' as never,
    character: id as never,
    value: { kind: 'cant-tell' },
    sureness: 'sure',
    by: 'ilse',
    at: '2026-09-14T09:00:00.000Z',
  };
  expect(places({ ...before, readings: [...before.readings, unknown] })).toEqual([]);
  expect(
    places({
      ...before,
      skips: [{ character: id as never, piece: 'p1' as never, at: '2026-09-14T09:00:00.000Z' }],
    }),
  ).toEqual([]);
  expect(places({ ...before, policy: { place: 'ignored' } as never })).toEqual([]);
  expect(
    nextChecks(guide, { ...before, policy: { place: 'ignored' } as never }).some(
      ({ character: ground }) => ground === 'substrate',
    ),
  ).toBe(true);
});

describe('a root', () => {
  const roots = guide.characters.filter(isDug).map(({ id }) => id);

  test('is dug up for its smell too', () => {
    expect(roots).toEqual(
      expect.arrayContaining(['root.form', 'root.flesh', 'root.core', 'root.skin', 'root.smell']),
    );
  });

  test('a skipped one is asked last; it counts as one thing skipped, and as none where nothing is dug up', () => {
    let seen = 0;
    for (const target of collectable.filter(({ taxon: { kingdom } }) => kingdom === 'Plantae')) {
      const context = { ...goodContext(target), ...MAY_DIG };
      const isRoot = ({ character: id }: Check) => roots.includes(id);
      const checks = (more: object) => nextChecks(guide, find(target.id, [], { context, ...more }));
      const asked = (more: object) =>
        checks(more)
          .filter(isRoot)
          .map(({ character: id }) => id);
      const before = asked({});
      if (before.length === 0) continue;
      seen += 1;
      for (const id of before) {
        const after = checks({ skips: [{ character: id, piece: 'p1', at: at(1) }] });
        expect([target.id, id, after.filter(isRoot)]).toEqual([target.id, id, after.slice(-1)]);
        expect(after.at(-1)).toMatchObject({ character: id, why: 'unanswered' });
        const passed = find(target.id, [reading(id, { kind: 'cant-tell' }, { minute: 1 })], {
          context,
          skips: roots.map((one) => ({ character: one, piece: 'p1', at: at(2) })),
        });
        expect(nextChecks(guide, passed).filter(isRoot)).toHaveLength(1);
        const codes = (find: Case) =>
          decide(guide, find)
            .reasons.map(({ code }) => code)
            .filter((code) => code === 'unanswered' || code === 'passed-over');
        expect(codes(passed)).toEqual(['passed-over']);
        expect(codes({ ...passed, context: { ...passed.context, mayDig: false } })).toEqual([]);
        // On another piece it may be looked at.
        expect(
          asked({
            skips: [{ character: id, piece: 'p0', at: at(1) }],
            pieces: [
              { id: 'p0', startedAt: at(0), purpose: 'compare' },
              { id: 'p1', startedAt: at(0), purpose: 'decide' },
            ],
          }),
        ).toEqual(before);
      }
    }
    expect(seen).toBeGreaterThan(4);
  });
});
