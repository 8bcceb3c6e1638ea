import { randomBytes } from 'node:crypto';
import { sql } from 'kysely';
import type { Db } from './connect';
import { APPEND_ONLY } from './schema';

/**
 * The role as which the application asks the database. It owns no table, so that what may only be added to
 * binds it too: it can switch off no trigger, and may neither change nor remove what is on record.
 */

const QUEUE_SCHEMA = 'pgboss';

/**
 * Makes the role of this database, or brings it up to what the tables are by now.
 *
 * @param owner a connection of whoever owns the tables
 * @returns the address for the application; undefined where the owner may make no roles
 */
export async function applicationRole(owner: Db, url: string): Promise<string | undefined> {
  const {
    rows: [can],
  } = await sql<{
    may: boolean;
    database: string;
  }>`select rolsuper or rolcreaterole as may, current_database() as database from pg_roles
    where rolname = current_user`.execute(owner);
  if (can?.may !== true) return undefined;
  const role = `${can.database}_app`;
  return owner.transaction().execute(async (transaction) => {
    // Several servers may start at once.
    await sql`select pg_advisory_xact_lock(hashtext('pause application role'))`.execute(transaction);
    const password = await passwordOf(transaction);
    const {
      rows: [known],
    } = await sql`select 1 from pg_roles where rolname = ${role}`.execute(transaction);
    await sql`${sql.raw(known ? 'alter' : 'create')} role ${sql.id(role)} login password ${sql.lit(password)}`.execute(
      transaction,
    );
    await sql`grant connect, create on database ${sql.id(can.database)} to ${sql.id(role)}`.execute(
      transaction,
    );
    await sql`grant usage on schema public to ${sql.id(role)}`.execute(transaction);
    await sql`grant select, insert, update, delete on all tables in schema public to ${sql.id(role)}`.execute(
      transaction,
    );
    await sql`grant usage, select on all sequences in schema public to ${sql.id(role)}`.execute(transaction);
    for (const table of [...APPEND_ONLY, 'arrivals', 'kysely_migration', 'kysely_migration_lock'])
      await sql`revoke update, delete on ${sql.table(table)} from ${sql.id(role)}`.execute(transaction);
    await sql`grant execute on function erase_notebook(text) to ${sql.id(role)}`.execute(transaction);
    await dropQueueOfAnother(transaction, role);
    const address = new URL(url);
    [address.username, address.password] = [encodeURIComponent(role), encodeURIComponent(password)];
    return address.href;
  });
}

/**
 * The queue keeps tables of its own, and has to own them. What an earlier version left there unfinished is
 * found again by what is on record.
 */
async function dropQueueOfAnother(db: Db, role: string): Promise<void> {
  const {
    rows: [schema],
  } = await sql<{
    owner: string;
  }>`select pg_get_userbyid(nspowner) as owner from pg_namespace where nspname = ${QUEUE_SCHEMA}`.execute(db);
  if (schema && schema.owner !== role) await sql`drop schema ${sql.id(QUEUE_SCHEMA)} cascade`.execute(db);
}

async function passwordOf(db: Db): Promise<string> {
  const secret = () => db.selectFrom('application_role').select('password').executeTakeFirst();
  const known = await secret();
  if (known) return known.password;
  const password = randomBytes(24).toString('hex');
  await db.insertInto('application_role').values({ password }).execute();
  return password;
}
