import { decide, GROUPS_NEEDED, nextChecks, ODD_MARK_GROUPS, type Verdict } from '../src';
import {
  allUsual,
  at,
  collectable,
  dangers,
  find,
  followChecks,
  guide,
  lookedAtTwice,
  reading,
  goodContext,
  taxon,
} from './finds';

const codes = (verdict: Verdict, weight?: string) =>
  verdict.reasons.filter((r) => weight === undefined || r.weight === weight).map((r) => r.code);
const row = (verdict: Verdict, id: string) => {
  const found = verdict.rows.find((r) => r.taxon === id);
  if (!found) throw new Error(`no row for ${id}`);
  return found;
};
const chanterelle = (readings: ReturnType<typeof reading>[], more: Record<string, unknown> = {}) =>
  decide(guide, find('cantharellus-cibarius', readings, more));
const usualWithout = (target: string, ...ids: string[]) =>
  lookedAtTwice(allUsual(target).filter((r) => !ids.includes(r.character)));

describe('collect', () => {
  test.each(collectable.map((t) => t.id))(
    '%s: a true specimen, checked as proposed, reaches collect',
    (id) => {
      const verdict = decide(guide, followChecks(id));
      expect(verdict.outcome).toBe('collect');
      expect(verdict.reasons.every((r) => r.weight === 'note')).toBe(true);
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

describe('measures', () => {
  const width = (number: number, unit: string, error?: number) =>
    decide(
      guide,
      find('vaccinium-myrtillus', [
        reading('fruit.diameter', { kind: 'measure', number, unit, ...(error ? { error } : {}) }),
      ]),
    );

  // Deadly nightshade berries: at least 5 mm; the instrument's own error is 1 mm.
  test.each([
    [3.5, 'mm', 1],
    [4, 'mm', 0],
    [0.35, 'cm', 1],
    [0.14, 'in', 1],
    [0.17, 'in', 0],
  ])('%d %s gives %d bars against nightshade', (number, unit, bars) => {
    expect(row(width(number, unit), 'atropa-bella-donna').bars).toHaveLength(bars);
  });

  test('a larger stated error takes the bar away', () => {
    expect(row(width(3.5, 'mm', 2), 'atropa-bella-donna').bars).toHaveLength(0);
  });

  test('a measure so vague that it says nothing is no fit', () => {
    const vague = decide(
      guide,
      find('vaccinium-myrtillus', [
        reading('fruit.diameter', { kind: 'measure', number: 7, unit: 'mm', error: 100 }),
      ]),
    );
    expect(vague.holds.fitGroups).toEqual([]);
  });
});

describe('the target', () => {
  /** A usual specimen with as few groups as there can be while every bar and every mark is there. */
  const fewest = (id: string) => {
    let kept = allUsual(id);
    for (const one of allUsual(id)) {
      const without = kept.filter((r) => r.character !== one.character);
      if (codes(decide(guide, find(id, without)), 'pause').every((code) => code === 'groups-short'))
        kept = without;
      if (decide(guide, find(id, kept)).holds.fitGroups.length === 7) break;
    }
    return kept;
  };

  test('seven groups are not eight', () => {
    const [id, seven] = collectable
      .map((t) => [t.id as string, fewest(t.id)] as const)
      .find(([one, kept]) => decide(guide, find(one, kept)).holds.fitGroups.length === 7)!;
    const verdict = decide(guide, find(id, seven));
    expect(verdict.holds).toMatchObject({ groupsNeeded: 8 });
    expect(codes(verdict, 'pause')).toEqual(['groups-short']);
    expect(decide(guide, find(id, allUsual(id))).outcome).toBe('collect');
  });

  test('two readings of one group are one fit', () => {
    const verdict = chanterelle([
      reading('hymenophore', 'ridges'),
      reading('hymenophore.branching', 'cross-veined'),
    ]);
    expect(verdict.holds.fitGroups).toEqual(['hymenophore']);
  });

  test('a signature mark that was not looked at keeps it at pause', () => {
    const verdict = chanterelle(usualWithout('cantharellus-cibarius', 'stipe.interior'));
    expect(codes(verdict, 'pause')).toEqual(['signature-missing']);
  });

  test('one strained reading in six is allowed, more are not', () => {
    const target = taxon('corylus-avellana');
    const all = allUsual('corylus-avellana');
    // What it shows now and then, of characters that are no marks of it.
    const odd = all.flatMap(({ character: id }) => {
      const known = target.atStage.get(guide.character(id)!.index)?.get('fruiting' as never);
      const state =
        known?.kind === 'states' && !(target.taxon.signature as string[]).includes(id)
          ? [...guide.character(id)!.stateBit].find(
              ([, bit]) => (known.possible & ~known.usual & bit) !== 0,
            )?.[0]
          : undefined;
      return state === undefined ? [] : [reading(id, state)];
    });
    const strained = (count: number) =>
      decide(
        guide,
        find('corylus-avellana', [
          ...all.filter((r) => !odd.slice(0, count).some((o) => o.character === r.character)),
          ...odd.slice(0, count),
        ]),
      );
    expect(strained(1).holds.strains).toBe(1);
    expect(codes(strained(1), 'pause')).not.toContain('strained');
    const many = Math.ceil(all.length / 6) + 1;
    expect(odd.length).toBeGreaterThanOrEqual(many);
    expect(codes(strained(many), 'pause')).toContain('strained');
  });

  test('a reading of what cannot be seen at the recorded stage puts the stage in dispute', () => {
    const context = goodContext(taxon('galium-odoratum'), 'vegetative' as never);
    const seen = allUsual('galium-odoratum').filter((r) =>
      guide.character(r.character)!.stages.has('vegetative' as never),
    );
    const verdict = decide(
      guide,
      find('galium-odoratum', [...seen, reading('flower.colour', 'white')], { context }),
    );
    expect(verdict.reasons).toContainEqual({
      weight: 'pause',
      code: 'stage-disputed',
      character: 'flower.colour',
    });
    expect(codes(decide(guide, find('galium-odoratum', seen, { context })))).not.toContain('stage-disputed');
  });

  test('several stages on one plant: each may show what it shows', () => {
    const context = { ...goodContext(taxon('cantharellus-cibarius')), stages: ['young', 'mature'] };
    const verdict = chanterelle([reading('cap.shape', 'convex')], { context });
    expect(codes(verdict)).not.toContain('contradicted-open');
  });
});

describe('contradiction', () => {
  const good = usualWithout('cantharellus-cibarius', 'flesh.texture');
  const texture = (...states: string[]) =>
    chanterelle([...good, ...states.map((s) => reading('flesh.texture', s))]);

  test('once: pause, and it is what the next check asks again', () => {
    const verdict = texture('brittle');
    expect(verdict.outcome).toBe('pause');
    expect(codes(verdict, 'pause')).toEqual(['contradicted-open']);
    const next = nextChecks(
      guide,
      find('cantharellus-cibarius', [...good, reading('flesh.texture', 'brittle')]),
    );
    expect(next[0]).toMatchObject({ character: 'flesh.texture', why: 'contradicted' });
  });

  test.each([
    [['brittle', 'brittle'], 'pause'],
    [['brittle', 'stringy'], 'pause'],
    [['brittle', 'stringy', 'stringy'], 'collect'],
    // What was misread once is often misread again: three against are looked at once more, four are enough.
    [['brittle', 'stringy', 'brittle'], 'pause'],
    [['brittle', 'stringy', 'brittle', 'stringy', 'stringy'], 'collect'],
    [['brittle', 'stringy', 'brittle', 'brittle'], 'pause'],
    [['brittle', 'brittle', 'brittle'], 'pause'],
    [['brittle', 'brittle', 'brittle', 'stringy', 'stringy', 'stringy', 'stringy'], 'collect'],
    [['brittle', 'brittle', 'brittle', 'brittle'], 'leave'],
    [['brittle', 'stringy', 'brittle', 'brittle', 'brittle'], 'leave'],
    [['stringy', 'stringy', 'brittle', 'brittle'], 'pause'],
    [['stringy', 'brittle', 'brittle', 'stringy', 'stringy'], 'collect'],
    [['stringy', 'brittle', 'brittle', 'stringy', 'brittle', 'stringy', 'brittle'], 'leave'],
    // An eighth and ninth look are shopping: the first seven have spoken.
    [
      ['stringy', 'brittle', 'brittle', 'stringy', 'brittle', 'stringy', 'brittle', 'stringy', 'stringy'],
      'leave',
    ],
  ])('%j is %s', (states, outcome) => {
    expect(texture(...states).outcome).toBe(outcome);
  });

  test('twice, while a deadly one fits everything seen: leave', () => {
    const readings = [
      reading('stem.marks', 'spotted'),
      reading('stem.marks', 'spotted'),
      reading('leaf.smell', 'mousy'),
    ];
    const verdict = decide(guide, find('nasturtium-officinale', readings));
    expect(verdict.outcome).toBe('leave');
    expect(verdict.reasons).toContainEqual({
      weight: 'leave',
      code: 'contradicted-and-danger-fits',
      character: 'stem.marks',
      taxa: expect.arrayContaining(['conium-maculatum']) as unknown,
    });
  });

  test('twice, while nothing dangerous fits: a third look is asked for', () => {
    const verdict = decide(
      guide,
      find('hypericum-perforatum', [
        reading('stem.hairs', 'downy'),
        reading('stem.hairs', 'downy'),
        reading('leaf.arrangement', 'opposite'),
        reading('leaf.dots', 'clear'),
        reading('flower.form', 'brush'),
        reading('stem.section', 'two-lined'),
      ]),
    );
    expect(verdict.outcome).toBe('pause');
  });

  test('on a compared piece it lowers, and says which piece', () => {
    const pieces = [
      { id: 'p1', startedAt: at(0), purpose: 'decide' },
      { id: 'p2', startedAt: at(1), purpose: 'compare' },
    ];
    const all = lookedAtTwice(allUsual('cantharellus-cibarius'));
    expect(chanterelle(all, { pieces }).outcome).toBe('collect');
    const verdict = chanterelle(
      [...all, reading('hymenophore', 'pores', { piece: 'p2', sureness: 'guess' })],
      { pieces },
    );
    expect(codes(verdict, 'pause')).toContain('other-piece-against');
  });

  test('a fungus is no plant', () => {
    const verdict = decide(guide, find('vaccinium-myrtillus', [], { kingdom: 'Fungi', context: {} }));
    expect(verdict.outcome).toBe('leave');
    expect(codes(verdict, 'leave')).toEqual(['other-kingdom']);
  });
});

describe('taking back and passing over', () => {
  const all = lookedAtTwice(allUsual('cantharellus-cibarius'));
  const slip = reading('flesh.texture', 'brittle', { id: 'slip', minute: 100 });
  const rest = all.filter((r) => r.character !== 'flesh.texture');

  test('a reading taken back is asked again before anything is collected', () => {
    const verdict = chanterelle([...rest, slip], { withdrawals: [{ reading: 'slip', at: at(101) }] });
    expect(codes(verdict, 'pause')).toEqual(['taken-back']);
    const again = chanterelle([...rest, slip, reading('flesh.texture', 'stringy', { minute: 102 })], {
      withdrawals: [{ reading: 'slip', at: at(101) }],
    });
    expect(again.outcome).toBe('collect');
  });

  test('taking back what was seen on a compared piece leaves it open there', () => {
    const pieces = [
      { id: 'p1', startedAt: at(0), purpose: 'decide' },
      { id: 'p2', startedAt: at(1), purpose: 'compare' },
    ];
    const beside = reading('flesh.texture', 'brittle', { id: 'beside', piece: 'p2', minute: 100 });
    const withdrawals = [{ reading: 'beside', at: at(101) }];
    expect(codes(chanterelle([...all, beside], { pieces }), 'pause')).toEqual(['other-piece-against']);
    expect(chanterelle([...all, beside], { pieces, withdrawals }).reasons).toContainEqual({
      weight: 'pause',
      code: 'taken-back',
      character: 'flesh.texture',
      piece: 'p2',
    });
    const again = reading('flesh.texture', 'stringy', { piece: 'p2', minute: 102 });
    expect(chanterelle([...all, beside, again], { pieces, withdrawals }).outcome).toBe('collect');
  });

  test('once it was looked at again, a slip is no slip any more', () => {
    const verdict = chanterelle([...rest, slip, reading('flesh.texture', 'stringy', { minute: 101 })], {
      withdrawals: [{ reading: 'slip', at: at(102) }],
    });
    expect(codes(verdict, 'pause')).toEqual(['contradicted-open']);
  });

  test('taking back does not undo leave', () => {
    const readings = [
      ...rest,
      ...[97, 98, 99].map((minute) => reading('flesh.texture', 'brittle', { minute })),
      slip,
    ];
    expect(chanterelle(readings).outcome).toBe('leave');
    expect(chanterelle(readings, { withdrawals: [{ reading: 'slip', at: at(101) }] }).outcome).toBe('leave');
  });

  test('one check may go unanswered, two keep it at pause until one is answered', () => {
    const without = usualWithout('cantharellus-cibarius', 'cap.join', 'latex');
    const skip = (character: string) => ({ character, piece: 'p1', at: at(200) });
    const one = chanterelle(without, { skips: [skip('latex')] });
    expect(new Set(codes(one, 'pause'))).toEqual(new Set(['bars-short']));
    expect(one.reasons).toContainEqual({ weight: 'note', code: 'passed-over', character: 'latex' });
    expect(row(one, 'cortinarius-rubellus').need).toBe(4);
    const two = { skips: [skip('latex'), skip('cap.join')] };
    expect(chanterelle(without, two).reasons).toContainEqual({
      weight: 'pause',
      code: 'unanswered',
      characters: ['cap.join', 'latex'],
    });
    expect(new Set(codes(chanterelle([...without, reading('latex', 'none')], two), 'pause'))).toEqual(
      new Set(['bars-short']),
    );
    const both = allUsual('cantharellus-cibarius').filter((r) => ['latex', 'cap.join'].includes(r.character));
    expect(chanterelle([...without, ...both], two).outcome).toBe('collect');
  });

  test('"can\'t tell" goes unanswered too', () => {
    const without = usualWithout('cantharellus-cibarius', 'cap.join', 'latex');
    const verdict = chanterelle([
      ...without,
      reading('latex', { kind: 'cant-tell' }),
      reading('cap.join', { kind: 'cant-tell' }),
    ]);
    expect(new Set(codes(verdict, 'pause'))).toEqual(new Set(['unanswered', 'bars-short']));
  });
});

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

describe('what it leans on', () => {
  test('readings whose loss alone would change the verdict', () => {
    const lean = followChecks('cantharellus-cibarius');
    const verdict = decide(guide, lean);
    const signature = lean.readings
      .filter((r) => ['hymenophore', 'stipe.interior'].includes(r.character))
      .map((r) => r.id);
    expect(verdict.leansOn).toEqual(expect.arrayContaining(signature));
    for (const id of verdict.leansOn) {
      const without = { ...lean, readings: lean.readings.filter((r) => r.id !== id) };
      expect(decide(guide, without).outcome).not.toBe('collect');
    }
  });
});

describe('a second look', () => {
  const once = allUsual('cantharellus-cibarius');
  const bars = (readings: typeof once) => decide(guide, find('cantharellus-cibarius', readings));

  test('what rules out a deadly one without a bar to spare is looked at a second time', () => {
    const verdict = bars(once);
    expect(new Set(codes(verdict, 'pause'))).toEqual(new Set(['look-again']));
    const asked = verdict.reasons.flatMap((r) => (r.code === 'look-again' ? [r.character] : []));
    expect(nextChecks(guide, find('cantharellus-cibarius', once)).map((c) => [c.character, c.why])).toEqual(
      asked.map((id) => [id, 'look-again']),
    );
    const again = once
      .filter((r) => asked.includes(r.character as never))
      .map((r) => ({ ...r, id: `${r.id}-again` }));
    expect(bars([...once, ...again]).outcome).toBe('collect');
    expect(bars([...once, ...again.slice(1)]).outcome).toBe('pause');
  });

  test('it is not asked for while anything else is missing', () => {
    const verdict = bars(once.filter((r) => r.character !== 'stipe.interior'));
    expect(codes(verdict, 'pause')).toEqual(['signature-missing']);
  });

  test('a second look that differs takes the bar away', () => {
    const character = bars(once).reasons.flatMap((r) => (r.code === 'look-again' ? [r.character] : []))[0]!;
    const other = [...guide.character(character)!.stateBit.keys()].find(
      (state) =>
        !once.some((r) => r.character === character && JSON.stringify(r.value).includes(`"${state}"`)),
    )!;
    expect(bars([...once, reading(character, other, { minute: 900 })]).outcome).not.toBe('collect');
  });
});

describe('a mark in its rarer form', () => {
  const withMark = (id: string, mark: string, state: string) =>
    decide(
      guide,
      find(id, [...lookedAtTwice(allUsual(id).filter((r) => r.character !== mark)), reading(mark, state)]),
    );
  const occasional = (id: string, mark: string) => {
    const c = guide.character(mark)!;
    const known = taxon(id).atStage.get(c.index)?.get(taxon(id).taxon.parts[0]!.stages.at(-1)!);
    return known?.kind === 'states'
      ? [...c.stateBit]
          .filter(([, bit]) => (known.possible & ~known.usual & bit) !== 0)
          .map(([state]) => state)
      : [];
  };

  test('one may be odd, sure and in one form, and then more groups must fit', () => {
    let seen = 0;
    for (const target of collectable) {
      const asked = Math.max(GROUPS_NEEDED, target.taxon.groupsNeeded ?? 0);
      for (const mark of target.taxon.signature)
        for (const state of occasional(target.id, mark)) {
          const verdict = withMark(target.id, mark, state);
          expect([target.id, mark, codes(verdict).includes('signature-missing')]).toEqual([
            target.id,
            mark,
            false,
          ]);
          expect([target.id, mark, verdict.holds.groupsNeeded]).toEqual([
            target.id,
            mark,
            asked + ODD_MARK_GROUPS,
          ]);
          seen += 1;
        }
    }
    expect(seen).toBeGreaterThan(20);
  });

  test('an odd mark that is not sure, or torn between two forms, does not hold', () => {
    const [state] = occasional('filipendula-ulmaria', 'leaf.smell');
    const others = lookedAtTwice(allUsual('filipendula-ulmaria').filter((r) => r.character !== 'leaf.smell'));
    for (const odd of [
      reading('leaf.smell', state!, { sureness: 'fairly' }),
      reading('leaf.smell', ['herby', 'hay']),
    ]) {
      expect(codes(decide(guide, find('filipendula-ulmaria', [...others, odd])))).toContain(
        'signature-missing',
      );
    }
  });

  test('two never may', () => {
    const two = collectable.flatMap((target) => {
      const marks = target.taxon.signature.filter((mark) => occasional(target.id, mark).length > 0);
      return marks.length > 1 ? [{ id: target.id, marks: marks.slice(0, 2) }] : [];
    });
    expect(two.length).toBeGreaterThan(0);
    for (const { id, marks } of two) {
      const odd = marks.map((mark) => reading(mark, occasional(id, mark)[0]!));
      const verdict = decide(
        guide,
        find(id, [
          ...lookedAtTwice(allUsual(id).filter((r) => !marks.includes(r.character as never))),
          ...odd,
        ]),
      );
      expect(codes(verdict).filter((code) => code === 'signature-missing')).toHaveLength(2);
    }
  });
});
