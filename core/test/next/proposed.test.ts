import { nextChecks, type CharacterId, HANDLING_SECONDS, decide } from '../../src';
import {
  targets,
  find,
  goodContext,
  taxon,
  guide,
  character,
  allUsual,
  collectable,
  reading,
  followChecks,
} from '../finds';
import { names, chanterelle } from './kit';

describe('what is proposed', () => {
  test.each(targets.flatMap((t) => t.taxon.stages.map((stage) => [t.id, stage] as const)))(
    'for %s, %s, can be seen then and is stated of the target',
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

  test('comes from afar to near while it brings much, then by what it brings for its time and damage', () => {
    const checks = nextChecks(guide, chanterelle());
    const seconds = { none: 0, slight: 10, part: 60, whole: 240 } as const;
    const rates = checks.map((c) => c.gain / (HANDLING_SECONDS + c.seconds + seconds[c.damage]));
    const rest = 1 + rates.findLastIndex((one, at) => one < (rates[at + 1] ?? 0));
    expect(rest).toBeLessThan(9);
    expect(Math.min(...rates.slice(0, rest))).toBeGreaterThan(0.3 * Math.max(...rates) - 1e-9);
    const looked = checks.slice(0, rest).map((c) => character(c.character).character.observe === 'look');
    expect([...looked].sort((a, b) => Number(b) - Number(a))).toEqual(looked);
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

  test('a size is measured where a large one would part them, and only when nothing else is left', () => {
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
});
