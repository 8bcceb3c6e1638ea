import type { FindRecord, TaxonId } from '@pause/core';
import { isoOf } from '@pause/core/day';
import { useAct, useApp } from '../../store/store';
import { useDay } from '../outdoors/usePlaces';
import { placeOfFind, useHarvests, type Harvest } from './harvests';
import type { TellHarvest } from './Told';

/** Pages that are just being begun, by who tells and of which find: what is told meanwhile goes onto the same one. */
const beginning = new Map<string, Promise<string | undefined>>();

/** What this person told of what they took of a find, and a way to tell more; the page is begun with the first thing told. */
export function useOwnHarvest(record: FindRecord, taxon: TaxonId, part: string): { readonly id: string | undefined; readonly told: Harvest; readonly tell: TellHarvest } {
  const act = useAct();
  const on = isoOf(useDay());
  const me = useApp((state) => state.me.person?.id ?? '');
  const own = useHarvests().find(({ fields, person }) => fields.find === record.id && person === me);
  const place = placeOfFind(record);
  const key = `${me} ${record.id}`;
  const tell: TellHarvest = (fields) => void import('../../store/outside').then(async ({ beginPage, tellPage }) => {
    const id = own?.id ?? await beginning.get(key);
    if (id !== undefined) {
      await act(tellPage(id, 'harvest', fields));
      return;
    }
    const begun = act(beginPage('harvest', { find: record.id, ...(place === undefined ? {} : { place }), taxon, part, on, ...fields }, record.group));
    beginning.set(key, begun);
    if (await begun === undefined) beginning.delete(key);
  });
  return { id: own?.id, told: own?.fields ?? {}, tell };
}
