import type { PlaceFields } from '../../src/notebook/page';
import { pickingAt } from '../../src/outings';
import { guide } from '../finds';

export const BILBERRY = guide.taxon('vaccinium-myrtillus')!;
export const at = (place: Partial<PlaceFields>, today = '2026-09-14', part = 'fruit') =>
  pickingAt(place, BILBERRY.id, part, today);
export const place = (fields: unknown) => fields as Partial<PlaceFields>;
