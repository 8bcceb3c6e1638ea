import type { ColumnType, Generated } from 'kysely';
import type { Case, Guide, ReadingValue, Verdict } from '@pause/core';

type Instant = ColumnType<Date, string, never>;
type Json<T> = ColumnType<T, string, never>;

/** Columns of everything that is only ever added: the client's id, and a hash to know a repetition by. */
interface Appended {
  id: string;
  content_hash: string;
  received_at: Generated<Date>;
}

export interface GuideTable {
  version: string;
  id: string;
  document: Json<Guide>;
  received_at: Generated<Date>;
}
export interface PersonTable {
  id: string;
  name: string;
}
/** One row while the demo data is loaded: how far the demo's clock is from the real one. */
export interface DemoClockTable {
  only: Generated<boolean>;
  offset_ms: ColumnType<string, number, never>;
}
export interface FindTable extends Appended {
  number: Generated<number>;
  started_at: Instant;
  kingdom: Case['kingdom'];
  body_plan: string | null;
  place_note: string | null;
  person: string;
}
interface OfFind extends Appended {
  find_id: string;
  at: Instant;
}
export interface PieceTable extends OfFind {
  purpose: 'decide' | 'compare';
}
export interface TargetTable extends OfFind {
  taxon: string;
}
export interface ContextTable extends OfFind {
  context: Json<Case['context']>;
}
export interface ReadingTable extends OfFind {
  piece_id: string;
  character: string;
  value: Json<ReadingValue>;
  sureness: 'sure' | 'fairly' | 'guess';
  by: string;
  blind: boolean | null;
  note: string | null;
}
export interface WithdrawalTable extends OfFind {
  reading_id: string;
}
export interface SkipTable extends OfFind {
  piece_id: string;
  character: string;
}
export interface VerdictTable extends OfFind {
  guide_version: string;
  outcome: Verdict['outcome'];
  find_case: Json<Case>;
  verdict: Json<Verdict>;
}
export interface DecisionTable extends OfFind {
  verdict_id: string;
  choice: 'collect' | 'leave' | 'later';
  reason: string | null;
  by: string;
}

export interface Database {
  guides: GuideTable;
  people: PersonTable;
  demo_clock: DemoClockTable;
  finds: FindTable;
  pieces: PieceTable;
  targets: TargetTable;
  contexts: ContextTable;
  readings: ReadingTable;
  withdrawals: WithdrawalTable;
  skips: SkipTable;
  verdicts: VerdictTable;
  decisions: DecisionTable;
}

/** Tables that the database itself keeps from being changed. */
export const APPEND_ONLY = [
  'guides', 'finds', 'pieces', 'targets', 'contexts', 'readings', 'withdrawals', 'skips', 'verdicts', 'decisions',
] as const satisfies readonly (keyof Database)[];
