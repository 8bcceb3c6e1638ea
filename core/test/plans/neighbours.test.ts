import { decide } from '../../src';
import type { Sighting } from '../../src/notebook/page';
import { dangerousAt } from '../../src/outings';
import { guide, followChecks, collectable } from '../finds';

describe('dangerous neighbours', () => {
  const saw = (taxon: string, what: Sighting['what'], on: string, more = 0) =>
    ({
      id: `sighting-${taxon}-${on}-${more}`,
      at: `${on}T08:00:0${more}.000Z`,
      by: 'mirel',
      on,
      what,
      taxon,
    }) as unknown as Sighting;

  test('are what was seen or suspected last; who looked again and found nothing takes it back', () => {
    expect(
      dangerousAt(
        [
          saw('atropa-bella-donna', 'suspected', '2026-07-01'),
          saw('vaccinium-myrtillus', 'seen', '2026-07-01'),
          saw('paris-quadrifolia', 'seen', '2025-07-01'),
        ],
        guide,
      ),
    ).toEqual(['atropa-bella-donna', 'paris-quadrifolia']);
    expect(
      dangerousAt(
        [
          saw('atropa-bella-donna', 'suspected', '2026-07-01'),
          saw('atropa-bella-donna', 'nothing', '2026-08-01'),
        ],
        guide,
      ),
    ).toEqual([]);
    expect(
      dangerousAt(
        [
          saw('atropa-bella-donna', 'nothing', '2026-08-01', 1),
          saw('atropa-bella-donna', 'seen', '2026-08-01', 2),
        ],
        guide,
      ),
    ).toEqual(['atropa-bella-donna']);
  });

  test('are said with the verdict, and every piece is to be followed to its base', () => {
    const target = 'hydnum-repandum';
    const find = followChecks(target);
    expect(decide(guide, find).outcome).toBe('collect');
    const beside = { ...find, context: { ...find.context, neighbours: ['amanita-phalloides' as never] } };
    const { outcome, reasons } = decide(guide, beside);
    expect(outcome).toBe('pause');
    expect(reasons).toContainEqual({
      code: 'dangerous-neighbours',
      taxa: ['amanita-phalloides'],
      weight: 'note',
    });
    expect(reasons).toContainEqual({ code: 'context-missing', field: 'tracedToBase', weight: 'pause' });
    expect(decide(guide, { ...beside, context: { ...beside.context, tracedToBase: true } }).outcome).toBe(
      'collect',
    );
    // A neighbour that does no harm, or is the target itself, is no matter.
    expect(
      decide(guide, {
        ...find,
        context: { ...find.context, neighbours: [target as never, 'vaccinium-myrtillus' as never] },
      }).reasons.map(({ code }) => code),
    ).not.toContain('dangerous-neighbours');
    expect(collectable.length).toBeGreaterThan(0);
  });
});
