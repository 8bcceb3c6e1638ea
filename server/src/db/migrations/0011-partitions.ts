import { sql, type Kysely } from 'kysely';

/**
 * Entries lie in partitions by their notebook, so that what one notebook grows by makes no other slower to
 * read. What id was used where is a table of its own: no partition knows that of the others. What is to be
 * asked again, whether it still stands, is marked find by find. Pictures may lie in an object store.
 */

export const PARTITIONS = 16;

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table entries rename to entries_before`.execute(db);
  for (const name of ['entries_key', 'entries_of_find', 'entries_of_page', 'entries_collected'])
    await sql`alter index ${sql.id(name)} rename to ${sql.id(`${name}_before`)}`.execute(db);
  await sql`create table entries (
    stream text not null references streams (id), seq bigint not null, kind text not null, id text not null, find_id text, page_id text, person text not null references people (id),
    stamp text not null, body jsonb not null, content_hash text not null, received_at timestamptz not null default now(),
    -- Set by every server that knows of the table of ids. One that does not, and is still running, is refused: its entries would be known to nobody.
    form smallint not null,
    constraint entries_key primary key (stream, seq), constraint entries_of_one check (num_nonnulls(find_id, page_id) = 1)
  ) partition by hash (stream)`.execute(db);
  for (let n = 0; n < PARTITIONS; n += 1) {
    await sql`create table ${sql.table(partition(n))} partition of entries for values with (modulus ${sql.lit(PARTITIONS)}, remainder ${sql.lit(n)})`.execute(
      db,
    );
    await sql`create trigger entries_never_emptied before truncate on ${sql.table(partition(n))} for each statement execute function refuse_change()`.execute(
      db,
    );
  }
  await sql`insert into entries (stream, seq, kind, id, find_id, page_id, person, stamp, body, content_hash, received_at, form)
    select stream, seq, kind, id, find_id, page_id, person, stamp, body, content_hash, received_at, 1 from entries_before`.execute(
    db,
  );
  await sql`create index entries_of_find on entries (find_id, kind, (body->>'field'), (stamp collate "C")) where find_id is not null`.execute(
    db,
  );
  await sql`create index entries_of_page on entries (page_id, kind, (body->>'field'), (stamp collate "C")) where page_id is not null`.execute(
    db,
  );
  await sql`create index entries_collected on entries (find_id) where kind = 'decisions' and body->>'choice' = 'collect'`.execute(
    db,
  );
  await sql`create trigger entries_never_changed before update or delete on entries for each row execute function refuse_change_unless_erased()`.execute(
    db,
  );
  await sql`create trigger entries_never_emptied before truncate on entries for each statement execute function refuse_change()`.execute(
    db,
  );
  await ids(db);
  await sql`drop table entries_before`.execute(db);
  await sql`create table stored_pictures (id text primary key, find_id text not null, size integer not null, dropped_at timestamptz)`.execute(
    db,
  );
  await sql`create index stored_pictures_of_find on stored_pictures (find_id)`.execute(db);
  await sql`create index stored_pictures_dropped on stored_pictures (dropped_at) where dropped_at is not null`.execute(
    db,
  );
  await sql`alter table recall_asked add column moved_at timestamptz`.execute(db);
  await sql`create index recall_asked_moved on recall_asked (find_id) where moved_at is not null`.execute(db);
}

const partition = (n: number) => `entries_${String(n).padStart(2, '0')}`;

/**
 * Sixteen bytes of the SHA-256 of kind and id: as short as can be, and nobody finds two ids with one key on
 * purpose.
 */
async function ids(db: Kysely<unknown>): Promise<void> {
  await sql`create function entry_key(kind text, id text) returns uuid language sql immutable strict parallel safe as
    $$ select encode(substring(sha256(convert_to(kind || ' ' || id, 'UTF8')) from 1 for 16), 'hex')::uuid $$`.execute(
    db,
  );
  await sql`create table entry_ids (key uuid primary key, stream text not null, seq bigint not null)`.execute(
    db,
  );
  await sql`insert into entry_ids (key, stream, seq) select entry_key(kind, id), stream, seq from entries_before`.execute(
    db,
  );
  await sql`create trigger entry_ids_never_changed before update or delete on entry_ids for each row execute function refuse_change_unless_erased()`.execute(
    db,
  );
  await sql`create trigger entry_ids_never_emptied before truncate on entry_ids for each statement execute function refuse_change()`.execute(
    db,
  );
  await sql`
    create or replace function erase_notebook(who text) returns void language plpgsql security definer set search_path = public, pg_temp as $$
    declare notebook text := 'p:' || who;
    begin
      perform set_config('pause.erasing', 'a person', true);
      delete from written where of = 'stream ' || notebook or of in (select 'find ' || id from finds where stream = notebook union all select 'page ' || id from pages where stream = notebook);
      delete from picture_parts where find_id in (select id from finds where stream = notebook);
      update stored_pictures set dropped_at = now() where find_id in (select id from finds where stream = notebook);
      delete from arrivals where find_id in (select id from finds where stream = notebook);
      delete from recalls where stream = notebook;
      delete from recall_asked where find_id in (select id from finds where stream = notebook);
      delete from descents where child in (select id from pages where stream = notebook);
      delete from entry_ids using entries where entries.stream = notebook and entry_ids.key = entry_key(entries.kind, entries.id);
      delete from entries where stream = notebook;
      delete from finds where stream = notebook;
      delete from pages where stream = notebook;
      delete from streams where id = notebook;
      perform set_config('pause.erasing', '', true);
    end $$`.execute(db);
}
