import { decide } from '../../src';
import { lookedAtTwice, allUsual, at, reading, guide, find, goodContext, taxon } from '../finds';
import { chanterelle, row, codes, usualWithout } from './kit';

describe('no shopping', () => {
  const all = lookedAtTwice(allUsual('cantharellus-cibarius'));
  const piece = (id: string, minute: number) => ({ id, startedAt: at(minute), purpose: 'decide' });
  const early = [reading('cap.shape', 'funnel', { minute: 1 })];
  const late = (id: string) => all.map((r) => ({ ...r, piece: id, at: at(500) }));

  test('a first fresh piece is listed', () => {
    const verdict = chanterelle([...early, ...late('p2')], { pieces: [piece('p1', 0), piece('p2', 2)] });
    expect(verdict.piece).toBe('p2');
    expect(verdict.reasons).toContainEqual({
      weight: 'note',
      code: 'shopping',
      freshPieces: 1,
      changedTargets: 0,
      extraBars: 0,
    });
    expect(verdict.outcome).toBe('collect');
  });

  test('from the second one on every deadly taxon needs a bar more', () => {
    const verdict = chanterelle([...early, ...late('p3')], {
      pieces: [piece('p1', 0), piece('p2', 2), piece('p3', 3)],
    });
    expect(row(verdict, 'cortinarius-rubellus').need).toBe(4);
    expect(row(verdict, 'omphalotus-olearius').need).toBe(2);
  });

  test('a changed target counts once something was read, not before', () => {
    const changed = (minute: number) => ({ earlierTargets: [{ taxon: 'hydnum-repandum', at: at(minute) }] });
    expect(codes(chanterelle(early, changed(0)))).not.toContain('shopping');
    expect(codes(chanterelle(early, changed(5)))).toContain('shopping');
  });
});

describe('part, place and plant', () => {
  const withContext = (change: Record<string, unknown>, id = 'vaccinium-myrtillus') =>
    decide(
      guide,
      find(id, lookedAtTwice(allUsual(id)), { context: { ...goodContext(taxon(id)), ...change } }),
    );

  test.each([
    [{ permission: 'forbidden' }, 'place-forbidden'],
    [{ contamination: 'roadside' }, 'place-contaminated'],
    [{ condition: 'rotten' }, 'condition-rules-out'],
    [{ part: 'leaf' }, 'part-not-wanted'],
    [{ use: 'dye' }, 'use-not-known'],
    [{ protection: 'protected' }, 'protected'],
  ])('%j is leave', (change, code) => {
    const verdict = withContext(change);
    expect(verdict.outcome).toBe('leave');
    expect(codes(verdict, 'leave')).toEqual([code]);
  });

  test('the right plant at the wrong moment is leave, and says when it is worth having', () => {
    const verdict = withContext({ stages: ['vegetative'] });
    expect(verdict.reasons).toContainEqual({
      weight: 'leave',
      code: 'part-not-at-stage',
      part: 'fruit',
      good: ['fruiting'],
    });
  });

  test.each([
    [{ permission: 'unknown' }, 'permission'],
    [{ contamination: 'unknown' }, 'contamination'],
    [{ tracedToBase: undefined }, 'tracedToBase'],
  ])('%j is pause', (change, field) => {
    const verdict = withContext(change);
    expect(verdict.outcome).toBe('pause');
    expect(verdict.reasons).toContainEqual({ weight: 'pause', code: 'context-missing', field });
  });

  test('often protected: the law must have been looked up', () => {
    expect(withContext({ protection: 'unknown' }, 'cantharellus-cibarius').outcome).toBe('pause');
    expect(withContext({ protection: 'allowed' }, 'cantharellus-cibarius').outcome).toBe('collect');
  });

  test.each([
    ['vaccinium-myrtillus', 'unripe', 'leave'],
    ['vaccinium-myrtillus', 'ripe', 'collect'],
    ['prunus-spinosa', 'frosted', 'collect'],
    ['prunus-spinosa', 'woody', 'collect'],
    ['boletus-edulis', 'frosted', 'leave'],
    ['boletus-edulis', 'insect-eaten', 'collect'],
    ['filipendula-ulmaria', 'woody', 'collect'],
    ['allium-ursinum', 'woody', 'leave'],
    ['origanum-vulgare', 'woody', 'leave'],
    ['corylus-avellana', 'frosted', 'collect'],
  ])('%s, %s: %s', (id, condition, outcome) => {
    expect(withContext({ condition }, id).outcome).toBe(outcome);
  });

  test('what was not traced to one base stays at pause', () => {
    expect(codes(withContext({ tracedToBase: false }), 'pause')).toEqual(['not-traced']);
  });

  test('a place that does not suit raises a doubt and no more', () => {
    const verdict = decide(
      guide,
      find('cantharellus-cibarius', [
        ...usualWithout('cantharellus-cibarius', 'fungus.habitat'),
        reading('fungus.habitat', 'grassland'),
      ]),
    );
    expect(verdict.outcome).toBe('collect');
    expect(codes(verdict, 'note')).toContain('place-doubt');
  });

  test('a taxon that nobody wants is never collected', () => {
    const verdict = decide(guide, find('atropa-bella-donna', []));
    expect(codes(verdict, 'leave')).toEqual(['not-wanted']);
  });
});
