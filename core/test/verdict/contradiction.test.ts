import { nextChecks, decide } from '../../src';
import { reading, guide, find, at, lookedAtTwice, allUsual } from '../finds';
import { usualWithout, chanterelle, codes, row } from './kit';

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
