import { decide, looksAreDone } from '../../src';
import { collectable, guide, followChecks, allUsual, dangers, reading, find, at } from '../finds';
import { chanterelle, codes, row } from './kit';

describe('collect', () => {
  test.each(collectable.map((t) => t.id))(
    '%s: a true specimen, checked as proposed, reaches collect',
    (id) => {
      const verdict = decide(guide, followChecks(id));
      expect(verdict.outcome).toBe('collect');
      expect(verdict.reasons.every((r) => r.weight === 'note')).toBe(true);
    },
  );

  test.each(collectable.map((t) => t.id))(
    '%s: of a true specimen nothing is left to look at before anything is recorded of its place',
    (id) => {
      const seen = followChecks(id);
      const { stages, part, use } = seen.context;
      const open = { ...seen, context: { stages, part, use } };
      const verdict = decide(guide, open);
      expect(verdict.outcome).toBe('pause');
      expect(looksAreDone(verdict)).toBe(true);
      expect(looksAreDone(decide(guide, { ...open, readings: open.readings.slice(0, -4) }))).toBe(false);
      expect(looksAreDone(decide(guide, seen))).toBe(false);
    },
  );

  test('an empty find is at pause and says everything that is missing', () => {
    const verdict = chanterelle([], { context: {} });
    expect(verdict.outcome).toBe('pause');
    expect(codes(verdict)).toEqual(
      expect.arrayContaining(['bars-short', 'signature-missing', 'groups-short', 'context-missing']),
    );
    expect(verdict.reasons.flatMap((r) => (r.code === 'context-missing' ? [r.field] : []))).toEqual([
      'stages',
      'condition',
      'part',
      'use',
      'permission',
      'contamination',
      'protection',
    ]);
  });

  test('fairly sure is not sure: no bars and no fits', () => {
    const verdict = chanterelle(allUsual('cantharellus-cibarius').map((r) => ({ ...r, sureness: 'fairly' })));
    expect(verdict.outcome).toBe('pause');
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([]);
    expect(verdict.holds.fitGroups).toEqual([]);
  });

  test('the verdict says which relatives the guide does not cover, and that nobody reviewed the pair', () => {
    const verdict = decide(guide, followChecks('cantharellus-cibarius'));
    expect(codes(verdict, 'note')).toEqual(expect.arrayContaining(['near-relatives', 'unreviewed']));
  });

  test('plants need no bars from a fungus, fungi none from a plant', () => {
    const verdict = decide(guide, followChecks('cantharellus-cibarius'));
    expect(row(verdict, 'conium-maculatum')).toMatchObject({ otherKingdom: true, bars: [], need: 3 });
  });

  test('every dangerous taxon has a row, listed ones first', () => {
    const { rows } = decide(guide, followChecks('cantharellus-cibarius'));
    expect(rows).toHaveLength(dangers.length);
    expect(rows.slice(0, 4).map((r) => r.taxon)).toEqual([
      'cortinarius-orellanus',
      'cortinarius-rubellus',
      'paxillus-involutus',
      'omphalotus-olearius',
    ]);
  });
});

describe('bars', () => {
  test('two readings that rest on colour are one bar', () => {
    const verdict = chanterelle([reading('spore.print', 'pale'), reading('cap.colour', 'egg-yellow')]);
    expect(row(verdict, 'cortinarius-rubellus').bars.map((b) => b.causes)).toEqual([['colour']]);
  });

  test('each bar names its reading, group and causes', () => {
    const verdict = chanterelle([reading('hymenophore', 'ridges', { id: 'under' })]);
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([
      { reading: 'under', character: 'hymenophore', group: 'hymenophore', causes: [] },
    ]);
  });

  test('looks that disagree make the character disputed: no bar from it, whoever looks', () => {
    const verdict = chanterelle([
      reading('cap.shape', 'funnel'),
      reading('cap.shape', 'irregular', { by: 'jorun' }),
      reading('hymenophore', 'ridges'),
    ]);
    expect(row(verdict, 'cortinarius-rubellus').bars.map((b) => b.character)).toEqual(['hymenophore']);
    expect(codes(verdict, 'note')).toContain('disputed');
  });

  test('torn between two that share a state is no dispute', () => {
    const verdict = chanterelle([
      reading('hymenophore', 'ridges'),
      reading('hymenophore', ['ridges', 'smooth']),
    ]);
    expect(row(verdict, 'cortinarius-rubellus').bars).toHaveLength(1);
  });

  test('torn with a state that the dangerous one can show is no ground', () => {
    const verdict = chanterelle([reading('hymenophore', ['ridges', 'gills'])]);
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([]);
  });

  test('a group in which another reading fits the dangerous taxon gives none', () => {
    const alone = chanterelle([reading('hymenophore', 'ridges')]);
    const spoiled = chanterelle([
      reading('hymenophore', 'ridges'),
      reading('hymenophore.branching', 'unbranched'),
    ]);
    expect(row(alone, 'cortinarius-rubellus').bars).toHaveLength(1);
    expect(row(spoiled, 'cortinarius-rubellus').bars).toHaveLength(0);
  });

  test('what fades is possible as absent in the dangerous one', () => {
    const verdict = chanterelle([reading('veil', 'none'), reading('smell', 'none')]);
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([]);
  });

  test('what cannot be seen at some stage of the dangerous one is possible as absent', () => {
    const verdict = decide(guide, find('aegopodium-podagraria', [reading('umbel.bracteoles', 'none')]));
    expect(row(verdict, 'aethusa-cynapium').bars).toEqual([]);
    expect(row(verdict, 'conium-maculatum').bars).toEqual([]);
  });

  test('readings of the place never give a bar', () => {
    const verdict = chanterelle([reading('fungus.habitat', 'broadleaf-wood')]);
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([]);
  });

  test('readings of another piece never give a bar', () => {
    const pieces = [
      { id: 'p1', startedAt: at(0), purpose: 'decide' },
      { id: 'p2', startedAt: at(1), purpose: 'compare' },
    ];
    const verdict = chanterelle([reading('hymenophore', 'ridges', { piece: 'p2' })], { pieces });
    expect(row(verdict, 'cortinarius-rubellus').bars).toEqual([]);
  });
});
