import { shippedGuide } from '@pause/guide';
import reading from '../review/second-reading.json';

/** Every deadly and serious taxon was read twice, the second time blind. The guide may know more of one than the second reading, never less. */

interface Entry {
  readonly character: string;
  readonly stages?: readonly string[];
  readonly states?: readonly string[];
  readonly range?: readonly number[];
}
interface Left extends Entry {
  readonly taxon: string;
  readonly why: string;
}

const guide = shippedGuide();
const second = new Map(Object.entries(reading.taxa as Record<string, readonly Entry[]>));
const left = reading.left as readonly Left[];
const harmful = guide.taxa.filter(({ harm }) => harm.grade === 'deadly' || harm.grade === 'serious');

/** What the second reading holds possible of a character and the guide leaves out, in any stage that both speak of. */
function beyond(taxonId: string, entry: Entry): string[] {
  const taxon = guide.taxa.find((t) => t.id === taxonId);
  if (!taxon) throw new Error(`${taxonId} is not in the guide`);
  const told = taxon.statements.filter((s) => s.character === entry.character
    && (!entry.stages || !s.stages || s.stages.some((stage) => entry.stages?.includes(stage))));
  return [...new Set(told.flatMap((statement) => {
    if ('range' in statement) {
      const [least, most] = statement.range.outer;
      const [from, to] = entry.range ?? [];
      return from !== undefined && to !== undefined && (from < least || to > most) ? [`${from} to ${to}`] : [];
    }
    const known = new Set<string>([...statement.usual, ...(statement.occasional ?? [])]);
    return (entry.states ?? []).filter((state) => !known.has(state));
  }))];
}

const weighed = (taxon: string, character: string, what: string) => left.some((l) => l.taxon === taxon && l.character === character
  && (l.states?.includes(what) || (l.range && `${l.range[0]} to ${l.range[1]}` === what)));

test('every deadly and every serious taxon was read twice, in twelve characters or more', () => {
  expect([...second.keys()].sort()).toEqual(harmful.map((t) => t.id).sort());
  for (const entries of second.values()) expect(new Set(entries.map((e) => e.character)).size).toBeGreaterThanOrEqual(12);
});

test.each(harmful.map((t) => t.id))('the guide leaves out nothing of %s that the second reading holds possible', (taxon) => {
  const out = (second.get(taxon) ?? []).flatMap((entry) => beyond(taxon, entry)
    .filter((what) => !weighed(taxon, entry.character, what)).map((what) => `${entry.character}: ${what}`));
  expect(out).toEqual([]);
});

test('what was weighed and left is a difference still, and has its reason', () => {
  for (const { taxon, character, states, range, why } of left) {
    expect(why.length).toBeGreaterThan(20);
    const differs = (second.get(taxon) ?? []).filter((e) => e.character === character).flatMap((e) => beyond(taxon, e));
    for (const what of states ?? [`${range?.[0]} to ${range?.[1]}`]) expect([taxon, character, differs]).toEqual([taxon, character, expect.arrayContaining([what])]);
  }
});

test('a statement that is made narrower is noticed', () => {
  const entry = second.get('conium-maculatum')?.find((e) => e.character === 'stem.marks');
  if (!entry) throw new Error('the second reading says nothing of the stem of hemlock');
  expect(beyond('conium-maculatum', entry)).toEqual([]);
  expect(beyond('conium-maculatum', { ...entry, states: [...(entry.states ?? []), 'ringed'] })).toEqual(['ringed']);
});
