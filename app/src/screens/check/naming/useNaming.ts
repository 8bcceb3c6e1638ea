import { useRouter } from 'expo-router';
import type { FindRecord, TaxonId } from '@pause/core';
import { guide } from '../../../deciding/guide';
import { changeContext, changeTarget } from '../../../notebook/actions';
import { useAct } from '../../../notebook/store';

/** Gives the find a name, and goes on from there. */
export function useNaming(record: FindRecord) {
  const act = useAct();
  const router = useRouter();
  return (taxon: TaxonId, to: 'check' | 'verdict' = 'check') => {
    const [only, ...more] = guide.taxon(taxon)?.taxon.parts ?? [];
    const named = act(changeTarget(record.id, taxon));
    if (only && more.length === 0) void act(changeContext(record.id, { part: only.part, use: only.use }));
    void named.then(
      (kept) => kept && router.replace({ pathname: `/find/[id]/${to}`, params: { id: record.id } }),
    );
  };
}
