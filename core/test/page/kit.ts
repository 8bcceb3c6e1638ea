import type { PageEntry, PageRecord } from '../../src';
import { stampOf, applyToPage } from '../../src/notebook';

const MORNING = Date.parse('2026-09-14T07:40:00.000Z');
export const at = (second: number) => new Date(MORNING + second * 1000).toISOString();
const stamp = (second: number, device = 'tollar') =>
  stampOf({ ms: MORNING + second * 1000, count: 0, device });
export const PLACE = {
  page: 'place-one',
  kind: 'pages',
  body: { id: 'place-one', at: at(0), by: 'mirel', kind: 'place', group: 'walkers-one' },
  stamp: stamp(0),
} as PageEntry;
export const field = (name: string, value: unknown, second: number, device = 'tollar') =>
  ({
    page: 'place-one',
    kind: 'fields',
    body: {
      id: `f-${name}-${second}-${device}`,
      at: at(second),
      by: 'mirel',
      of: 'place',
      field: name,
      value,
    },
    stamp: stamp(second, device),
  }) as PageEntry;
export const seen = (taxon: string, second: number, more: object = {}) =>
  ({
    page: 'place-one',
    kind: 'sightings',
    body: {
      id: `sighting-${second}-${taxon}`,
      at: at(second),
      by: 'tam',
      on: '2026-09-14',
      what: 'seen',
      taxon,
      ...more,
    },
    stamp: stamp(second),
  }) as unknown as PageEntry;
export const folded = (entries: readonly PageEntry[]) =>
  entries.reduce<PageRecord | undefined>(applyToPage, undefined)!;
