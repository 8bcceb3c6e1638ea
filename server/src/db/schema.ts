import type { ColumnType, Generated } from 'kysely';
import type { Guide, Kingdom, PageKind, Policy, TaxonId } from '@pause/core';
import type { Arrival, Kind } from '@pause/core/notebook';
import type { Cause } from '@pause/core/pantry/recall';

type Instant = ColumnType<Date, string, never>;
type Json<T> = ColumnType<T, string, never>;
type Number8 = ColumnType<string, number, number>;

export interface GuideTable {
  version: string;
  id: string;
  document: Json<Guide>;
  received_at: Generated<Date>;
}
export interface PersonTable {
  id: string;
  name: string;
  /** When the account was deleted. */
  left_at: ColumnType<Date | null, never, Date>;
}
/** One row while the demo data is loaded: how far the demo's clock is from the real one. */
export interface DemoClockTable {
  only: Generated<boolean>;
  offset_ms: ColumnType<string, number, never>;
}
/** A person's own notebook, or a group's. Its entries are numbered from 1 without gaps. */
export interface StreamTable {
  id: string;
  last: Number8;
}
/** Where a find is, and whose. */
export interface FindTable {
  id: string;
  number: Generated<number>;
  stream: string;
  person: string;
  started_at: Instant;
  kingdom: Kingdom;
}
/** Where a page is that is no find, and who keeps it. */
export interface PageTable {
  id: string;
  stream: string;
  kind: PageKind;
  person: string | null;
}
/** Every entry, as it arrived. */
export interface EntryTable {
  stream: string;
  seq: Number8;
  kind: Kind;
  /** Made by the device that recorded it. */
  id: string;
  /** Of a find, or of a page: one of both. */
  find_id: string | null;
  page_id: string | null;
  person: string;
  stamp: string;
  body: Json<unknown>;
  /** To know a repetition by. */
  content_hash: string;
  received_at: Generated<Date>;
  /** Of the server that wrote it: 1 since ids are in a table of their own. */
  form: number;
}
/** In which notebook, and where in it, an id was used: no id means two things. */
export interface EntryIdTable {
  /** `entry_key(kind, id)`. */
  key: string;
  stream: string;
  seq: Number8;
  /** The find or page that it belongs to: "find ID" or "page ID". */
  about: string;
}
/** The password of the role as which the application asks. */
export interface ApplicationRoleTable {
  only: Generated<boolean>;
  password: string;
}
/**
 * How much a person has put on record: of a stream, a find or a page, as "stream g:1"; of a kind of a find,
 * as "find ID readings own"; and "find ID collected".
 */
export interface WrittenTable {
  of: string;
  person: string;
  entries: number;
  bytes: Number8;
}
/** What the server reached where a verdict arrived and differed. */
export interface ArrivalTable {
  id: string;
  find_id: string;
  arrival: Json<Arrival>;
}
/** Bytes of a photo or a sketch, in the parts in which they came. */
export interface PicturePartTable {
  picture_id: string;
  find_id: string;
  at_byte: number;
  bytes: Buffer;
}
/** A whole picture that lies in the object store. */
export interface StoredPictureTable {
  id: string;
  find_id: string;
  /** In bytes. */
  size: number;
  /** Taken out again: it is still to be removed from the store. */
  dropped_at: ColumnType<Date | null, string | null | undefined, string | null>;
}
export type Role = 'keeper' | 'member' | 'young';
export interface GroupTable {
  id: string;
  name: string;
  policy: ColumnType<Policy, string, string>;
  began_at: Generated<Date>;
}
export interface MembershipTable {
  group_id: string;
  person: string;
  role: Role;
  joined_at: Generated<Date>;
  left_at: ColumnType<Date | null, string | null, string | null>;
}
export interface InvitationTable {
  code_hash: string;
  group_id: string;
  role: Role;
  by: string;
  expires_at: ColumnType<Date, string, never>;
  used_by: string | null;
}
/** A taxon that a keeper signed as reviewed. */
export interface ReviewTable {
  group_id: string;
  taxon: TaxonId;
  content: string;
  by: string;
  at: ColumnType<Date, string, string>;
  note: string | null;
}
/** Sign-ins, and changes to who may do what. */
export interface AuditTable {
  number: Generated<string>;
  at: Generated<Date>;
  person: string | null;
  what: string;
  object: string | null;
  detail: ColumnType<unknown, string | null, never>;
}
/** What comes from what; made of the entries. */
export interface DescentTable {
  child: string;
  parent: string;
}
/** A find or a harvest that is recalled, and why. */
export interface RecallTable {
  of: string;
  stream: string;
  cause: ColumnType<Cause, string, string>;
  at: Generated<Date>;
}
/** How far the finds that were collected have been asked again of a version of the guide. */
export interface RecallRunTable {
  version: string;
  total: number;
  done: Generated<number>;
  began_at: Generated<Date>;
  finished_at: ColumnType<Date | null, string | null, string | null>;
}
/** A find that was collected, as it was when it was last asked whether it still holds. */
export interface RecallAskedTable {
  find_id: string;
  /** Of the guide; nothing where it was never asked. */
  version: string;
  target: string | null;
  /** What was read of it, each a character and its value; and what was skipped, by the character alone. */
  looks: string[];
  asked_at: Generated<Date>;
  /** When something was added to it for which it is still to be decided again. */
  moved_at: Generated<Date | null>;
}
/** One row: what signs cookies, where none was given from outside. */
export interface ServerSecretTable {
  only: Generated<boolean>;
  secret: string;
}
/** A letter in the demo's simulated mailbox. */
export interface SimulatedLetterTable {
  id: Generated<string>;
  at: Generated<Date>;
  to: string;
  subject: string;
  text: string;
}
/** Kept by the library for accounts. */
export interface UserTable {
  id: string;
  name: string;
  email: string;
  emailVerified: boolean;
  createdAt: Generated<Date>;
  updatedAt: Generated<Date>;
}

export interface Database {
  guides: GuideTable;
  people: PersonTable;
  demo_clock: DemoClockTable;
  streams: StreamTable;
  finds: FindTable;
  pages: PageTable;
  entries: EntryTable;
  entry_ids: EntryIdTable;
  written: WrittenTable;
  application_role: ApplicationRoleTable;
  arrivals: ArrivalTable;
  picture_parts: PicturePartTable;
  stored_pictures: StoredPictureTable;
  descents: DescentTable;
  recalls: RecallTable;
  recall_runs: RecallRunTable;
  recall_asked: RecallAskedTable;
  groups: GroupTable;
  memberships: MembershipTable;
  invitations: InvitationTable;
  reviews: ReviewTable;
  audit: AuditTable;
  server_secret: ServerSecretTable;
  simulated_letters: SimulatedLetterTable;
  user: UserTable;
}

/** Tables that the database itself keeps from being changed. */
export const APPEND_ONLY = [
  'guides',
  'finds',
  'pages',
  'entries',
  'entry_ids',
  'audit',
] as const satisfies readonly (keyof Database)[];
