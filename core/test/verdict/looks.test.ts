import { decide, nextChecks, GROUPS_NEEDED, ODD_MARK_GROUPS } from '../../src';
import { followChecks, guide, allUsual, find, reading, lookedAtTwice, taxon, collectable } from '../finds';
import { codes } from './kit';

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
