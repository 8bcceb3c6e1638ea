import '../guide';
import { decide, nextChecks } from '@pause/core';
import { parseCase } from '@pause/core/case/parse';
import { guide } from '../../src/deciding/guide';
import { wouldDigHelp } from '../../src/screens/check/digging';
import { readingWords, harmLine, timeWords, lengthWords } from '../../src/text/names';
import { reasonWords } from '../../src/text/reasons';
import { stripLine } from '../../src/text/strip';
import { faultsOf } from '../faulty';
import { at } from './kit';

test('what was read, how harmful it is, how long and how large: never a word of the program either', () => {
  for (const { character } of guide.characters) {
    if (!('states' in character)) continue;
    for (const { id } of character.states)
      expect(readingWords({ character: character.id, value: { kind: 'states', states: [id] } })).toMatch(
        /^[A-Z0-9“]/,
      );
  }
  for (const { id, grade } of guide.taxa) {
    const line = harmLine(id);
    expect([line, faultsOf(line)]).toEqual([line, []]);
    expect(line === '' || line.startsWith(grade === 'none' ? 'no harm known' : grade)).toBe(true);
    // A span begins with the shorter time, and both ends say in what.
    const span = /silent for (\d+)(?: (hour|day)s?)? to (\d+) (hour|day|week)s$/.exec(line);
    if (line.includes('silent')) expect(span).not.toBeNull();
    const hours = { hour: 1, day: 24, week: 168 } as const;
    const [, from, unitFrom, to, unitTo] = span ?? [];
    if (span)
      expect(Number(from) * hours[(unitFrom ?? unitTo) as 'day']).toBeLessThan(
        Number(to) * hours[unitTo as 'day'],
      );
    if (line.includes('within')) expect(line).toMatch(/within (an hour|\d+ (hours|days|weeks))$/);
  }
  for (let seconds = 2; seconds < 20_000; seconds += 7)
    expect(timeWords(seconds)).toMatch(
      /^([2-9]|[1-5]\d) (seconds|minutes)$|^[2-4] hours$|^(a minute|an hour|overnight)$/,
    );
  for (const millimetres of [1, 9.5, 10, 45, 999, 1000, 2500])
    expect(lengthWords(millimetres)).toMatch(/^\d+(\.\d+)? (mm|cm|m)$/);
});

test.each([
  [
    'bilberry',
    'vaccinium-myrtillus',
    { stages: ['vegetative'], part: 'fruit', use: 'food' },
    /^[A-Z0-9].* dangerous ones are not ruled out yet\. Even if it is bilberry, this is not the time for its ripe berries\. The time for that: in fruit\.$/,
  ],
  [
    'bilberry',
    'vaccinium-myrtillus',
    { stages: ['fruiting'], part: 'fruit', use: 'dye' },
    /not ruled out yet\. Even if it is bilberry, the guide does not know the ripe berries for this use\.$/,
  ],
])(
  'what rules out only if it is %s is said with an if, and after what is not ruled out',
  (_, target, context, line) => {
    const verdict = decide(
      guide,
      parseCase(
        {
          guide: { id: guide.guide.id },
          kingdom: 'Plantae',
          target,
          pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
          readings: [],
          context,
        },
        guide,
      ),
    );
    expect(verdict.outcome).toBe('leave');
    expect(stripLine(verdict)).toMatch(line);
  },
);

test('where only a root helps, it asks once whether one may be dug up; never of a fungus', () => {
  const mustard = guide.taxon('alliaria-petiolata');
  const readings: { character: string }[] = [];
  const find = (mayDig?: boolean) =>
    parseCase(
      {
        guide: { id: guide.guide.id },
        kingdom: 'Plantae',
        target: 'alliaria-petiolata',
        pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
        readings,
        context: {
          stages: ['flowering'],
          part: 'leaf',
          use: 'food',
          condition: 'fresh',
          permission: 'allowed',
          contamination: 'none-seen',
          cannotSmell: true,
          ...(mayDig === undefined ? {} : { mayDig, patchSize: 'tens', patchThrives: true }),
        },
      },
      guide,
    );
  // One of the plants that everything harmless leaves at pause, where nothing can be smelled.
  for (let step = 1; step < 30; step += 1) {
    const [next] = nextChecks(guide, find());
    const character = next && guide.character(next.character);
    const known = character && mustard?.atStage.get(character.index)?.get('flowering' as never);
    if (!character || !known) break;
    const state =
      known.kind === 'states'
        ? [...character.stateBit].find(([, bit]) => (known.usual & bit) !== 0)?.[0]
        : undefined;
    const value =
      known.kind === 'states'
        ? { kind: 'states', states: [state] }
        : { kind: 'measure', number: (known.usual[0] + known.usual[1]) / 2, unit: 'mm' };
    readings.push({
      ...{ id: `r${step}`, piece: 'p1', sureness: 'sure', by: 'mirel', at: at(step) },
      character: character.id,
      value,
    } as { character: string });
  }
  expect(decide(guide, find()).outcome).toBe('pause');
  expect(wouldDigHelp(find())).toBe(true);
  expect(wouldDigHelp(find(false))).toBe(false);
  expect(wouldDigHelp(find(true))).toBe(false);
});

test('however much was passed over, the strip has room for it', () => {
  const characters = ['habit.form', 'stem.width', 'leaf.base', 'stem.marks', 'stem.colour', 'stem.core'];
  const verdict = decide(
    guide,
    parseCase(
      {
        guide: { id: guide.guide.id },
        kingdom: 'Plantae',
        target: 'crataegus-monogyna',
        pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
        context: { stages: ['fruiting'] },
        readings: characters.map((character, i) => ({
          id: `r${i}`,
          piece: 'p1',
          character,
          value: { kind: 'cant-tell' },
          sureness: 'sure',
          by: 'mirel',
          at: at(i + 1),
        })),
      },
      guide,
    ),
  );
  expect(stripLine(verdict)).toMatch(
    /^Not answered: [^,]+, [^,]+ and four others\. One may stay open, not more\.$/,
  );
  expect(
    verdict.reasons
      .map((reason) => reasonWords(reason, verdict))
      .find((line) => line.startsWith('Not answered'))
      ?.split(','),
  ).toHaveLength(6);
});
