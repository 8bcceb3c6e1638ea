import fc from 'fast-check';
import type { StageId, Unnamed } from '../src';
import { parseUnnamed } from '../src/case/parse';
import { identify } from '../src/questions';
import { at, guide, reading, targets, taxon, usualValue } from './finds';

const unnamed = (kingdom: string, readings: ReturnType<typeof reading>[], context: object = {}): Unnamed =>
  parseUnnamed(
    {
      guide: { id: 'ostrel' },
      kingdom,
      pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
      readings,
      context,
    },
    guide,
  );

test('probabilities and "none of these" add up to one, whatever was read', () => {
  const some = fc.subarray(
    guide.characters.filter((c) => c.character.kingdom === 'Fungi' && c.stateBit.size > 0),
  );
  fc.assert(
    fc.property(some, fc.nat(), (characters, pick) => {
      const read = characters.map((c) => reading(c.id, [...c.stateBit.keys()][pick % c.stateBit.size] ?? ''));
      const found = identify(guide, unnamed('Fungi', read));
      const sum = found.candidates.reduce((total, c) => total + c.probability, found.none);
      expect(sum).toBeCloseTo(1, 9);
      expect(found.candidates).toHaveLength(guide.taxa.filter((t) => t.taxon.kingdom === 'Fungi').length);
    }),
    { numRuns: 60 },
  );
});

// Worked by hand: one reading, "spines", misread rate 0.04, eight states. The one taxon that has spines shows
// them nine times of ten (its young spines may look like pores): 0.9 x 0.96 + 0.1 x 0.04 / 7; each other by
// misreading: 0.04 / 7. A kind that is not in the guide shows what its like do on average four times of five, else
// any of the eight states; three of them are met for each of the guide's.
test('one reading, by hand', () => {
  const others = guide.taxa.filter((t) => t.taxon.kingdom === 'Fungi').length - 1;
  const spines = 0.9 * 0.96 + 0.1 * (0.04 / 7);
  const mean = (spines + others * (0.04 / 7)) / (others + 1);
  const none = 3 * (others + 1) * (0.8 * mean + 0.2 / 8);
  const sum = spines + others * (0.04 / 7) + none;
  const found = identify(guide, unnamed('Fungi', [reading('hymenophore', 'spines')]));
  expect(found.none).toBeCloseTo(none / sum, 12);
  expect(found.candidates[0]?.probability).toBeCloseTo(spines / sum, 12);
  expect(found.candidates.at(-1)?.probability).toBeCloseTo(0.04 / 7 / sum, 12);
});

test.each(targets.map((t) => [t.id]))('%s read in full is named first', (id) => {
  const target = taxon(id);
  const stage = target.taxon.parts[0]!.stages.at(-1)!;
  const read = guide.characters.flatMap((c) => {
    const value = usualValue(target, c, stage);
    return value === undefined ? [] : [reading(c.id, value)];
  });
  const found = identify(guide, unnamed(target.taxon.kingdom, read, { stages: [stage] }));
  expect(found.candidates[0]).toMatchObject({ taxon: id, fitsEverything: true });
  expect(found.candidates[0]?.probability).toBeGreaterThan(0.8);
});

test('what fits nothing in the guide is likeliest none of it', () => {
  const read = [
    reading('hymenophore', 'smooth'),
    reading('cap.surface', 'slimy'),
    reading('latex', 'white'),
    reading('veil', 'cottony'),
    reading('stipe.interior', 'hollow'),
  ];
  const found = identify(guide, unnamed('Fungi', read));
  expect(found.none).toBeGreaterThan(found.candidates[0]?.probability ?? 1);
});

test('in a large form little that was read leaves it likely that it is none of the guide', () => {
  const watercress = taxon('nasturtium-officinale');
  const read = (count: number) =>
    guide.characters
      .flatMap((c) => {
        const value = usualValue(watercress, c, 'vegetative' as StageId);
        return value === undefined || c.place ? [] : [reading(c.id, value)];
      })
      .slice(0, count);
  const none = (count: number) =>
    identify(guide, {
      ...unnamed('Plantae', read(count), { stages: ['vegetative'] }),
      bodyPlan: watercress.taxon.bodyPlan,
    }).none;
  expect(none(0)).toBeGreaterThan(0.5);
  expect(none(2)).toBeGreaterThan(0.2);
  expect(none(99)).toBeLessThan(0.1);
});

test('a guess moves less than a sure reading, a second one of the same group hardly more', () => {
  const lead = (readings: ReturnType<typeof reading>[]) =>
    identify(guide, unnamed('Fungi', readings)).candidates.find((c) => c.taxon === 'cantharellus-cibarius')
      ?.probability ?? 0;
  const sure = lead([reading('hymenophore', 'ridges')]);
  expect(lead([reading('hymenophore', 'ridges', { sureness: 'guess' })])).toBeLessThan(sure);
  expect(lead([reading('hymenophore', 'ridges'), reading('hymenophore', 'ridges')])).toBeCloseTo(sure, 9);
});

test('place and earlier finds order, and rule nothing out', () => {
  const at = (habitat: string) =>
    identify(guide, unnamed('Plantae', [reading('plant.habitat', habitat)])).candidates;
  const grows = (id: string, habitat: string) =>
    taxon(id).taxon.statements.some(
      (s) =>
        s.character === 'plant.habitat' &&
        'usual' in s &&
        [...s.usual, ...(s.occasional ?? [])].includes(habitat as never),
    );
  for (const candidate of at('garden').slice(0, 5)) expect(grows(candidate.taxon, 'garden')).toBe(true);
  for (const candidate of at('heath')) expect(candidate.probability).toBeGreaterThan(0.001);
  expect(at('heath').every((c) => c.fitsEverything)).toBe(true);
  const often = identify(guide, unnamed('Fungi', []), { earlierFinds: { 'hydnum-repandum': 9 } });
  expect(often.candidates[0]?.taxon).toBe('hydnum-repandum');
});

test('following the telling checks names a specimen with few of them', () => {
  for (const target of targets) {
    const stage = target.taxon.parts[0]!.stages.at(-1)!;
    const read: ReturnType<typeof reading>[] = [];
    for (let step = 0; step < 8; step += 1) {
      const found = identify(guide, unnamed(target.taxon.kingdom, read, { stages: [stage] }));
      if ((found.candidates[0]?.probability ?? 0) > 0.95) break;
      const next = found.checks.find(
        (c) => usualValue(target, guide.character(c.character)!, stage) !== undefined,
      );
      if (!next) break;
      read.push(reading(next.character, usualValue(target, guide.character(next.character)!, stage) ?? ''));
    }
    expect(
      identify(guide, unnamed(target.taxon.kingdom, read, { stages: [stage] })).candidates[0]?.taxon,
    ).toBe(target.id);
    expect(read.length).toBeLessThanOrEqual(8);
  }
});

test('checks keep to the stage and to the hands', () => {
  const checks = (hands: object) =>
    identify(guide, unnamed('Fungi', [], { stages: ['young'] }), { hands }).checks.map(
      (c) => c.character as string,
    );
  expect(checks({})).not.toContain('spore.print');
  expect(checks({})).toContain('flesh.colour');
  expect(checks({ gear: new Set() })).not.toContain('flesh.colour');
});

test('a check says which two of the likeliest it tells apart: what is usual of one is never seen of the other', () => {
  const { checks } = identify(guide, unnamed('Fungi', [reading('hymenophore', 'gills')]));
  const telling = checks.flatMap(({ character, apart }) => (apart ? [{ character, apart }] : []));
  expect(telling.length).toBeGreaterThan(5);
  for (const { character, apart } of telling) {
    const [one, other] = apart.map((id) => taxon(id).overall.get(guide.character(character)!.index));
    if (one?.kind !== 'states' || other?.kind !== 'states') throw new Error(character);
    expect([one.usual & other.possible, other.usual & one.possible]).toEqual([0, 0]);
  }
});
