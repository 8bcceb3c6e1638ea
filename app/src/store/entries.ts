import type { Case, Choice, FindRecord, Kingdom, Reading, TaxonId, Verdict, CharacterId, PieceId, ReadingId } from '@pause/core';

/** Something the person added to a find. Made here, with an id of its own, then sent; sending twice changes nothing. */
export type Entry = { readonly find: string } & (
  | { readonly kind: 'finds'; readonly body: { readonly id: string; readonly startedAt: string; readonly kingdom: Kingdom; readonly bodyPlan?: string; readonly placeNote?: string; readonly person: string } }
  | { readonly kind: 'pieces'; readonly body: { readonly id: PieceId; readonly at: string; readonly purpose: 'decide' | 'compare' } }
  | { readonly kind: 'targets'; readonly body: { readonly id: string; readonly at: string; readonly taxon: TaxonId } }
  | { readonly kind: 'contexts'; readonly body: { readonly id: string; readonly at: string; readonly context: Case['context'] } }
  | { readonly kind: 'readings'; readonly body: Reading }
  | { readonly kind: 'withdrawals'; readonly body: { readonly id: string; readonly at: string; readonly reading: ReadingId } }
  | { readonly kind: 'skips'; readonly body: { readonly id: string; readonly at: string; readonly piece: PieceId; readonly character: CharacterId } }
  | { readonly kind: 'verdicts'; readonly body: { readonly id: string; readonly at: string; readonly verdict: Verdict } }
  | { readonly kind: 'decisions'; readonly body: { readonly id: string; readonly at: string; readonly verdict: string; readonly choice: Choice; readonly reason?: string; readonly by: string } }
);

const without = <T extends { readonly id: string }>(list: readonly T[], id: string) => list.filter((item) => item.id !== id);

/**
 * A record with one more entry. An entry that the record holds already changes nothing, so what waits can be laid
 * over what the server sent. An entry of a find that is not there yet is left out.
 */
export function applyEntry(record: FindRecord | undefined, entry: Entry): FindRecord | undefined {
  if (entry.kind === 'finds') {
    return record ?? {
      ...entry.body, pieces: [], targets: [], context: {}, readings: [], withdrawals: [], skips: [], verdicts: [], decisions: [],
    };
  }
  if (!record) return undefined;
  switch (entry.kind) {
    case 'pieces': {
      const { id, at, purpose } = entry.body;
      return { ...record, pieces: [...without(record.pieces, id), { id, startedAt: at, purpose }] };
    }
    case 'targets': {
      const { taxon, at } = entry.body;
      if (record.targets.some((t) => t.at === at && t.taxon === taxon)) return record;
      return { ...record, targets: [...record.targets, { taxon, at }] };
    }
    case 'contexts':
      return { ...record, context: entry.body.context };
    case 'readings':
      return { ...record, readings: [...without(record.readings, entry.body.id), entry.body] };
    case 'withdrawals': {
      const { reading, at } = entry.body;
      if (record.withdrawals.some((w) => w.reading === reading)) return record;
      return { ...record, withdrawals: [...record.withdrawals, { reading, at }] };
    }
    case 'skips': {
      const { character, piece, at } = entry.body;
      if (record.skips.some((s) => s.at === at && s.character === character)) return record;
      return { ...record, skips: [...record.skips, { character, piece, at }] };
    }
    case 'verdicts': {
      const { id, at, verdict } = entry.body;
      return { ...record, verdicts: [...without(record.verdicts, id), { id, at, verdict }] };
    }
    case 'decisions':
      return { ...record, decisions: [...without(record.decisions, entry.body.id), entry.body] };
  }
}
