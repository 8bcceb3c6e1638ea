import { tasteRefusals, tasteState, WAIT_HOURS, reminderDue } from '../../src/pantry/tasting';
import { taxon } from '../finds';
import { AT } from './kit';

describe('a first taste', () => {
  const target = taxon('vaccinium-myrtillus');
  const base = {
    taxon: target,
    part: target.taxon.parts[0]!,
    cautions: [],
    holds: true,
    ready: true,
    others: [],
    now: new Date(AT),
  };
  test('one grown person, one new thing, made ready, of a find that stands', () => {
    expect(tasteRefusals(base)).toEqual([]);
    expect(
      tasteRefusals({ ...base, holds: false, ready: false, cautions: ['child'] }).map(({ code }) => code),
    ).toEqual(['recalled', 'child', 'not-ready']);
    expect(
      tasteRefusals({
        ...base,
        others: [{ taxon: 'juniperus-communis', at: '2026-09-13T20:00:00.000Z', ended: false }],
      }),
    ).toEqual([{ code: 'another-new', taxon: 'juniperus-communis' }]);
    expect(
      tasteRefusals({
        ...base,
        others: [
          { taxon: 'juniperus-communis', at: '2026-09-13T20:00:00.000Z', ended: true },
          { taxon: 'corylus-avellana', at: '2026-09-12T20:00:00.000Z', ended: false },
        ],
      }),
    ).toEqual([]);
    const hazel = taxon('corylus-avellana');
    expect(
      tasteRefusals({ ...base, taxon: hazel, part: hazel.taxon.parts[0]!, cautions: ['allergy:nuts'] }),
    ).toMatchObject([{ code: 'caution', caution: 'allergy:nuts' }]);
    const comfrey = taxon('symphytum-officinale');
    expect(
      tasteRefusals({ ...base, taxon: comfrey, part: comfrey.taxon.parts[0]! }).map(({ code }) => code),
    ).toContain('not-eaten');
  });
  test('it waits a day, asks now and then, stops at the first sign, and knows a clock that was set back', () => {
    const after = (hours: number) => new Date(Date.parse(AT) + hours * 3_600_000);
    expect(tasteState(AT, [], after(2))).toEqual({ state: 'waiting', hoursLeft: 22, askAt: after(4) });
    expect(tasteState(AT, [], after(WAIT_HOURS))).toEqual({ state: 'waited' });
    expect(tasteState(AT, [{ sign: 'skin' }], after(2))).toEqual({ state: 'stop', call: false });
    expect(tasteState(AT, [{ sign: 'breath' }], after(2))).toEqual({ state: 'stop', call: true });
    expect(tasteState(AT, [{ sign: 'skin' }, { sign: 'stomach' }], after(2))).toEqual({
      state: 'stop',
      call: true,
    });
    expect(tasteState(AT, [], after(-3))).toEqual({ state: 'clock-set-back' });
    expect(
      [0.5, 1, 3.9, 5, 13, 30].map((hours) => reminderDue(AT, [after(1.2).toISOString()], after(hours))),
    ).toEqual([undefined, undefined, undefined, 4, 12, 24]);
    expect(reminderDue(AT, [after(4.5).toISOString()], after(5))).toBeUndefined();
  });
});
