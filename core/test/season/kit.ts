import type { Need } from '../../src/guide/taxon';
import { dayOf } from '../../src/lib/day';
import type { SeenPlace } from '../../src/season';
import { simulateWeather } from '../../src/season/weather';
import { guide } from '../finds';

export const need = (begins: Need['begins'], ends: Need['ends'] = { days: 10 }) =>
  ({ stage: 'fruiting', begins, ends }) as Need;
export const bilberry = guide.taxon('vaccinium-myrtillus')!;
export const series = simulateWeather(4, 2016, dayOf('2026-11-01'));
export const at = (
  id: string,
  site: SeenPlace['site'],
  sightings: SeenPlace['sightings'] = [],
): SeenPlace => ({
  id,
  site,
  sightings,
});

export const saw = (on: string, ...stages: string[]) =>
  ({
    taxon: bilberry.id,
    what: stages.length > 0 ? 'seen' : 'nothing',
    ...(stages.length > 0 ? { stages } : {}),
    on,
  }) as SeenPlace['sightings'][number];
