import fc from 'fast-check';
import { nextChecks, CAUSE_BIT, decide, evaluate, answerEffects, type CharacterId } from '../../src';
import {
  collectable,
  followChecks,
  taxon,
  guide,
  at,
  reading,
  find,
  character,
  goodContext,
  allUsual,
  usualValue,
} from '../finds';
import { chanterelle, names } from './kit';

describe('what is proposed again, or later', () => {
  test('a mark is asked for, whatever bars it costs', () => {
    for (const target of collectable) {
      const read = new Set(followChecks(target.id).readings.map((r) => r.character));
      for (const mark of target.taxon.signature)
        expect([target.id, mark, read.has(mark)]).toEqual([target.id, mark, true]);
    }
  });

  test('a mark that was only guessed is asked again, until it was seen surely', () => {
    const done = followChecks('boletus-edulis');
    const [mark] = taxon('boletus-edulis').taxon.signature;
    const guessed = {
      ...done,
      readings: done.readings.map((r) => (r.character === mark ? { ...r, sureness: 'guess' as const } : r)),
    };
    const asked = nextChecks(guide, guessed).filter((c) => c.why === 'mark-unsure');
    expect(asked.map((c) => c.character)).toEqual([mark]);
    const sure = {
      ...guessed,
      readings: [
        ...guessed.readings,
        {
          ...done.readings.find((r) => r.character === mark)!,
          id: 'again',
          at: at(900),
        } as (typeof done.readings)[number],
      ],
    };
    expect(nextChecks(guide, sure).filter((c) => c.why === 'mark-unsure')).toEqual([]);
  });

  test('once the light deceived, what rests on colour waits', () => {
    const clear = [reading('hymenophore', 'ridges', { minute: 2 })];
    const placeOf = (f: ReturnType<typeof find>) =>
      nextChecks(guide, f).findIndex((c) => character(c.character).restsOn === CAUSE_BIT.colour);
    const before = placeOf(chanterelle(clear));
    const after = placeOf(chanterelle([...clear, reading('cap.colour', 'lilac', { minute: 3 })]));
    expect(before).toBeGreaterThanOrEqual(0);
    expect(after === -1 || after > before).toBe(true);
  });

  test('while too many readings strain, a check is asked that only has to fit', () => {
    const done = followChecks('boletus-edulis');
    expect(nextChecks(guide, done)).toEqual([]);
    const occasional = taxon('boletus-edulis').taxon.statements.flatMap((s) =>
      'occasional' in s && s.occasional?.[0] && done.readings.some((r) => r.character === s.character)
        ? [{ character: s.character, state: s.occasional[0] }]
        : [],
    );
    const strained = {
      ...done,
      readings: done.readings.map((r) => {
        const odd = occasional.find((o) => o.character === r.character);
        return odd ? { ...r, value: { kind: 'states' as const, states: [odd.state] } } : r;
      }),
    };
    const verdict = decide(guide, strained);
    expect(verdict.reasons.map((r) => r.code)).toContain('strained');
    expect(['brings-nearer', 'essential']).toContain(nextChecks(guide, strained)[0]?.why);
  });

  test('what contradicts comes before anything new, what was taken back after that', () => {
    const slip = reading('cap.shape', 'conical', { id: 'slip', minute: 5 });
    const checks = nextChecks(
      guide,
      chanterelle([reading('cap.surface', 'slimy', { minute: 4 }), slip], {
        withdrawals: [{ reading: 'slip', at: at(6) }],
      }),
    );
    expect(checks.slice(0, 2).map((c) => [c.character, c.why])).toEqual([
      ['cap.surface', 'contradicted'],
      ['cap.shape', 'taken-back'],
    ]);
  });

  test('what wants gear that is not at hand is not proposed, and everything is where nothing was said', () => {
    const of = (gear?: string[]) =>
      names(
        chanterelle([], {
          context: { ...goodContext(taxon('cantharellus-cibarius')), ...(gear ? { gear } : {}) },
        }),
      );
    const wants = (name: string) => character(name).character.gear ?? [];
    expect(of().some((name) => wants(name).includes('knife'))).toBe(true);
    expect(of(['ruler']).filter((name) => wants(name).some((g) => g !== 'ruler'))).toEqual([]);
    expect(of([]).filter((name) => wants(name).length > 0)).toEqual([]);
    expect(of(['knife']).some((name) => wants(name).includes('knife'))).toBe(true);
  });

  test('what was passed over is asked again at the end', () => {
    const checks = nextChecks(
      guide,
      chanterelle([], { skips: [{ character: 'hymenophore', piece: 'p1', at: at(1) }] }),
    );
    expect(checks.at(-1)).toMatchObject({ character: 'hymenophore', why: 'unanswered' });
    expect(checks.slice(0, -1).map((c) => c.character)).not.toContain('hymenophore');
  });

  test('what grows no further group and bars nothing more is not asked', () => {
    const done = followChecks('cantharellus-cibarius');
    expect(decide(guide, done).outcome).toBe('collect');
    expect(nextChecks(guide, done)).toEqual([]);
  });

  test('verdict and checks from one weighing are those of two', () => {
    const anyReadings = fc.subarray(allUsual('boletus-edulis'));
    fc.assert(
      fc.property(anyReadings, (readings) => {
        const f = find('boletus-edulis', readings);
        expect(evaluate(guide, f)).toEqual({ verdict: decide(guide, f), checks: nextChecks(guide, f) });
      }),
      { numRuns: 60 },
    );
  });

  test('while something not yet ruled out can harm the skin, looking comes before touching', () => {
    const harmless = {
      ...guide,
      taxon: (id: string) => {
        const found = guide.taxon(id);
        return found && { ...found, taxon: { ...found.taxon, harm: { grade: found.grade } } };
      },
    };
    const f = find('angelica-sylvestris', []);
    const methods = (g: typeof guide) =>
      nextChecks(g, f).map((c) => character(c.character).character.observe === 'look');
    const careful = methods(guide);
    expect(careful).toContain(false);
    expect(careful.indexOf(false)).toBeGreaterThan(careful.lastIndexOf(true));
    expect(methods(harmless)).not.toEqual(careful);
  });
});

describe('what an answer would do', () => {
  test.each(['hymenophore', 'cap.shape', 'smell', 'flesh.colour'] as const)(
    '%s: the effect foreseen is the effect had',
    (id) => {
      const before = chanterelle([reading('cap.surface', 'smooth-dry', { minute: 1 })]);
      const had = new Map(decide(guide, before).rows.map((r) => [r.taxon, r.have]));
      const effects = answerEffects(guide, before, id as CharacterId);
      expect(effects.map((e) => e.state)).toEqual([...character(id).stateBit.keys()]);
      for (const effect of effects) {
        const after = decide(guide, {
          ...before,
          readings: [...before.readings, ...chanterelle([reading(id, effect.state, { minute: 2 })]).readings],
        });
        const moved = after.rows
          .filter((row) => row.have !== had.get(row.taxon))
          .map((row) => ({ taxon: row.taxon, from: had.get(row.taxon), to: row.have, need: row.need }));
        expect([...effect.bars].sort((a, b) => (a.taxon < b.taxon ? -1 : 1))).toEqual(
          moved.sort((a, b) => (a.taxon < b.taxon ? -1 : 1)),
        );
        expect(effect.relation === 'against').toBe(
          after.reasons.some((r) => r.code === 'contradicted-open' && r.character === id),
        );
      }
    },
  );

  test('numbers have no list of answers', () => {
    expect(answerEffects(guide, chanterelle(), 'cap.width' as CharacterId)).toEqual([]);
  });
});

test('a true specimen of every target is decided within the checks that a person will make', () => {
  let looks = 0;
  for (const target of collectable) {
    const stage = target.taxon.parts[0]?.stages.at(-1);
    const done = followChecks(target.id);
    looks += done.readings.length;
    expect([target.id, done.readings.length <= 17]).toEqual([target.id, true]);
    for (const r of done.readings)
      expect(stage && usualValue(target, character(r.character), stage)).toBeDefined();
  }
  expect(looks / collectable.length).toBeLessThan(11);
});
