import { sql, type Kysely } from 'kysely';

/**
 * What a push has to know of the finds that it writes to is kept where it is read by one key, instead of
 * being counted from the entries each time: the kingdom of a find, the find or page that an id belongs to,
 * and how many entries of each limited kind a find has.
 */

/** The kinds of which a find may have only so many, and the decisions to collect. */
const LIMITED = ['pieces', 'readings', 'withdrawals', 'skips', 'targets', 'verdicts', 'pictures'];

export async function up(db: Kysely<unknown>): Promise<void> {
  await sql`alter table finds add column kingdom text`.execute(db);
  await changing(db, 'finds', () =>
    sql`update finds set kingdom = entries.body->>'kingdom' from entries where entries.find_id = finds.id and entries.kind = 'finds' and entries.stream = finds.stream`.execute(
      db,
    ),
  );
  await sql`alter table finds alter column kingdom set not null`.execute(db);
  await sql`alter table entry_ids add column about text`.execute(db);
  await changing(db, 'entry_ids', () =>
    sql`update entry_ids set about = case when entries.find_id is null then 'page ' || entries.page_id else 'find ' || entries.find_id end
    from entries where entries.stream = entry_ids.stream and entries.seq = entry_ids.seq`.execute(db),
  );
  // A server that does not know of this column, and is still running, can write nothing any more: it would
  // not count what it writes.
  await sql`alter table entry_ids alter column about set not null`.execute(db);
  await sql`insert into written (of, person, entries, bytes)
    select 'find ' || e.find_id || ' ' || e.kind || case when e.person = f.person then ' own' else ' others' end, e.person, count(*), sum(octet_length(e.body::text))
    from entries e join finds f on f.id = e.find_id where e.kind = any(${LIMITED}::text[]) group by 1, 2`.execute(
    db,
  );
  await sql`insert into written (of, person, entries, bytes)
    select 'find ' || find_id || ' collected', person, count(*), sum(octet_length(body::text)) from entries where kind = 'decisions' and body->>'choice' = 'collect' group by 1, 2`.execute(
    db,
  );
  await eraseWithCounts(db);
}

/** Lets the rows of an append-only table be filled in. */
async function changing(db: Kysely<unknown>, table: string, change: () => Promise<unknown>): Promise<void> {
  await sql`alter table ${sql.table(table)} disable trigger ${sql.id(`${table}_never_changed`)}`.execute(db);
  await change();
  await sql`alter table ${sql.table(table)} enable trigger ${sql.id(`${table}_never_changed`)}`.execute(db);
}

async function eraseWithCounts(db: Kysely<unknown>): Promise<void> {
  const endings = ['', ' collected', ...LIMITED.flatMap((kind) => [` ${kind} own`, ` ${kind} others`])];
  await sql`
    create or replace function erase_notebook(who text) returns void language plpgsql security definer set search_path = public, pg_temp as $$
    declare notebook text := 'p:' || who;
    begin
      perform set_config('pause.erasing', 'a person', true);
      delete from written where of = 'stream ' || notebook
        or of in (select 'find ' || id || ending from finds cross join unnest(${sql.lit(`{"${endings.join('","')}"}`)}::text[]) as ending where stream = notebook)
        or of in (select 'page ' || id from pages where stream = notebook);
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
