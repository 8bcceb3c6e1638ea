import type { FieldsOf, FindRecord, TaxonId } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { inTurn, settled } from './changeFields';
import { placeOfFind, selectHarvests, useHarvests, type Harvest, type HarvestPage } from './harvests';
import { useAct, useApp, type Thunk } from './store';
import { useDay } from './usePlaces';

type Fields = FieldsOf<'harvest'>;
type Changes = { readonly [F in keyof Fields]?: Fields[F] | null };
/** Changes fields, worked out when their turn comes: two answers in quick succession are both kept. */
export type SaveHarvest = (make: (now: Harvest) => Changes) => void;

const ofFind = (all: readonly HarvestPage[], find: string, person: string) =>
  all.find((one) => one.fields.find === find && one.person === person);

/** The page is begun with the first change. */
function saveOwn(
  begun: Pick<Fields, 'find' | 'taxon' | 'part' | 'on'> &
    Partial<Pick<Fields, 'stages'>> & { readonly place?: string },
  person: string,
  group: string | undefined,
  make: (now: Harvest) => Changes,
): Thunk<Promise<void>> {
  return async (dispatch, getState) => {
    const { beginPage, changePage } = await import('./outside');
    const own = ofFind(selectHarvests(getState()), begun.find, person);
    const changes = make(own?.fields ?? {});
    if (Object.keys(changes).length === 0) return;
    if (own) await dispatch(changePage(own.id, 'harvest', changes));
    else await dispatch(beginPage('harvest', { ...begun, ...changes }, group));
  };
}

interface OwnHarvest {
  readonly id: string | undefined;
  readonly harvest: Harvest;
  readonly save: SaveHarvest;
  /** Resolves once everything that was added by now has had its turn. */
  readonly settled: () => Promise<unknown>;
}

/** What this person recorded of what they took of a find, and a way to record more. */
export function useOwnHarvest(record: FindRecord, taxon: TaxonId, part: string): OwnHarvest {
  const act = useAct();
  const on = isoOf(useDay());
  const me = useApp((state) => state.me.person?.id ?? '');
  const own = ofFind(useHarvests(), record.id, me);
  const place = placeOfFind(record);
  const key = `${me} ${record.id}`;
  const save: SaveHarvest = (make) => {
    void inTurn(key, () =>
      act(
        saveOwn(
          {
            find: record.id,
            taxon,
            part,
            on,
            ...(place === undefined ? {} : { place }),
            ...(record.context.stages ? { stages: [...record.context.stages] } : {}),
          },
          me,
          record.group,
          make,
        ),
      ),
    ).catch(() => undefined);
  };
  return { id: own?.id, harvest: own?.fields ?? {}, save, settled: () => settled(key) };
}
