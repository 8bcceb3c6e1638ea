import fc from 'fast-check';
import {
  answerEffects,
  CAUSE_BIT,
  decide,
  evaluate,
  HANDLING_SECONDS,
  nextChecks,
  type CharacterId,
} from '../src';
import {
  allUsual,
  at,
  character,
  collectable,
  find,
  followChecks,
  goodContext,
  guide,
  reading,
  targets,
  taxon,
  usualValue,
} from './finds';

const chanterelle = (readings: ReturnType<typeof reading>[] = [], more: Record<string, unknown> = {}) =>
  find('cantharellus-cibarius', readings, more);
const names = (f: ReturnType<typeof find>) => nextChecks(guide, f).map((c) => c.character as string);

describe('what is proposed', () => {
  test.each(targets.flatMap((t) => t.taxon.stages.map((stage) => [t.id, stage] as const)))(
    'for %s, %s, can be seen then and is told of the target',
    (id, stage) => {
      const f = find(id, [], { context: { ...goodContext(taxon(id)), stages: [stage] } });
      for (const check of nextChecks(guide, f)) {
        const c = character(check.character);
        expect([
          check.character,
          c.stages.has(stage),
          c.place && check.why !== 'essential',
          taxon(id).atStage.has(c.index),
        ]).toEqual([check.character, true, false, true]);
        expect(check).toMatchObject({ seconds: c.character.seconds, damage: c.character.damage });
      }
    },
  );

  test('is never asked twice, unless something is open about it', () => {
    const seen = allUsual('cantharellus-cibarius').slice(0, 9);
    const asked = new Set(seen.map((r) => r.character));
    expect(names(chanterelle(seen)).filter((name) => asked.has(name as CharacterId))).toEqual([]);
  });

  test('comes in the order of what it brings for its time and damage', () => {
    const checks = nextChecks(guide, chanterelle());
    const seconds = { none: 0, slight: 10, part: 60, whole: 240 } as const;
    const rates = checks.map((c) => c.gain / (HANDLING_SECONDS + c.seconds + seconds[c.damage]));
    expect([...rates].sort((a, b) => b - a)).toEqual(rates);
  });

  test('nothing costs a piece while something harmless, which takes minutes at most, would bring as much', () => {
    let costly = 0;
    for (const target of collectable) {
      for (let made = 0; made < 8; made += 1) {
        const checks = nextChecks(guide, find(target.id, allUsual(target.id).slice(0, made))).filter(
          (c) => c.why === 'brings-nearer',
        );
        for (const [place, one] of checks.entries()) {
          if (one.damage !== 'part' && one.damage !== 'whole') continue;
          costly += 1;
          const before = checks
            .slice(place + 1)
            .filter(
              (c) => (c.damage === 'none' || c.damage === 'slight') && c.seconds <= 300 && c.gain >= one.gain,
            );
          // What touches may wait until nothing harms the skin any more.
          expect([
            target.id,
            one.character,
            before.filter((c) => c.skin.length === 0 || one.skin.length === 0).map((c) => c.character),
          ]).toEqual([target.id, one.character, []]);
        }
      }
    }
    expect(costly).toBeGreaterThan(100);
  });

  test('a single look that contradicts waits for what brings much, and for nothing that brings little', () => {
    const slimy = reading('cap.surface', 'slimy', { minute: 4 });
    const checks = nextChecks(guide, chanterelle([slimy]));
    const place = checks.findIndex((c) => c.character === 'cap.surface');
    expect(checks[place]?.why).toBe('contradicted');
    expect([place > 2, place < checks.length - 2]).toEqual([true, true]);
    const gains = checks.map((c) => c.gain);
    expect(Math.min(...gains.slice(0, place))).toBeGreaterThan(Math.max(...gains.slice(place + 1)));
    // Where only second looks and fits are left to make, it comes first.
    const done = followChecks('cantharellus-cibarius').readings.filter((r) => r.character !== 'cap.surface');
    expect(nextChecks(guide, chanterelle([...(done as never[]), slimy]))[0]).toMatchObject({
      character: 'cap.surface',
      why: 'contradicted',
    });
    const two = nextChecks(guide, chanterelle([slimy, reading('cap.shape', 'conical', { minute: 5 })]));
    expect(
      two
        .slice(0, 2)
        .map((c) => c.character)
        .sort(),
    ).toEqual(['cap.shape', 'cap.surface']);
  });

  test('nothing is waited for only to have a bar to spare', () => {
    for (const target of collectable) {
      const done = followChecks(target.id);
      expect([target.id, done.readings.some((r) => character(r.character).character.seconds > 120)]).toEqual([
        target.id,
        false,
      ]);
    }
  });

  test('a number is measured where a large specimen would part what one of middle size does not, and only when nothing else is left', () => {
    const seen = {
      hymenophore: 'ridges',
      'hymenophore.bond': 'inseparable',
      'stipe.colour': 'egg-yellow',
      'cap.shape': 'irregular',
      'flesh.texture': 'firm',
      section: 'cap-and-stem',
      'stipe.interior': 'solid',
      smell: 'fruity',
    };
    const f = chanterelle(Object.entries(seen).map(([id, state], minute) => reading(id, state, { minute })));
    expect(decide(guide, f).rows.find((row) => row.taxon === 'gyromitra-infula')).toMatchObject({
      have: 2,
      need: 3,
    });
    expect(names(f)).toContain('flesh.thickness');
    const checks = nextChecks(guide, f);
    const thickness = checks.find((c) => c.character === 'flesh.thickness')!.gain;
    expect(
      Math.min(...checks.filter((c) => c.why === 'brings-nearer' && c.gain > 0.001).map((c) => c.gain)),
    ).toBeGreaterThan(thickness * 5);
    const measured = (mm: number) =>
      decide(
        guide,
        chanterelle([
          ...(f.readings as never[]),
          reading('flesh.thickness', { kind: 'measure', number: mm, unit: 'mm' }, { minute: 20 }),
        ]),
      ).rows.find((row) => row.taxon === 'gyromitra-infula')?.have;
    expect([measured(6.5), measured(10)]).toEqual([2, 3]);
  });

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
    '%s: the effect told is the effect had',
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
    expect([target.id, done.readings.length <= 16]).toEqual([target.id, true]);
    for (const r of done.readings)
      expect(stage && usualValue(target, character(r.character), stage)).toBeDefined();
  }
  expect(looks / collectable.length).toBeLessThan(11);
});
