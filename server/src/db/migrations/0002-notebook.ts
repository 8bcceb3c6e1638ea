import { sql, type Kysely } from 'kysely';

/**
 * One notebook for several devices and people: everything put on record of finds is one table of entries, in
 * streams (a person's own, or a group's) that number them without gaps. Accounts, groups and what happened to
 * both. What the tables before held is taken over.
 */

const KINDS_AS_TABLES = [
  'finds',
  'pieces',
  'targets',
  'contexts',
  'readings',
  'withdrawals',
  'skips',
  'verdicts',
  'decisions',
];

/** An instant as the rest of the project writes it. */
const instant = (column: string) =>
  sql.raw(`to_char(${column} at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"')`);

/** The body of an entry, from the columns in which it was kept. */
const BODIES: Readonly<Record<string, ReturnType<typeof sql>>> = {
  finds: sql`jsonb_strip_nulls(jsonb_build_object('startedAt', ${instant('e.started_at')}, 'kingdom', e.kingdom, 'bodyPlan', e.body_plan, 'placeNote', e.place_note, 'person', e.person))`,
  pieces: sql`jsonb_build_object('at', ${instant('e.at')}, 'purpose', e.purpose)`,
  targets: sql`jsonb_build_object('at', ${instant('e.at')}, 'taxon', e.taxon)`,
  contexts: sql`jsonb_build_object('at', ${instant('e.at')}, 'context', e.context)`,
  readings: sql`jsonb_strip_nulls(jsonb_build_object('at', ${instant('e.at')}, 'piece', e.piece_id, 'character', e.character, 'value', e.value, 'sureness', e.sureness, 'by', e.by, 'blind', e.blind, 'note', e.note))`,
  withdrawals: sql`jsonb_build_object('at', ${instant('e.at')}, 'reading', e.reading_id)`,
  skips: sql`jsonb_build_object('at', ${instant('e.at')}, 'piece', e.piece_id, 'character', e.character)`,
  verdicts: sql`jsonb_build_object('at', ${instant('e.at')}, 'verdict', e.verdict)`,
  decisions: sql`jsonb_strip_nulls(jsonb_build_object('at', ${instant('e.at')}, 'verdict', e.verdict_id, 'choice', e.choice, 'reason', e.reason, 'by', e.by))`,
};

export async function up(db: Kysely<unknown>): Promise<void> {
  await accounts(db);
  await groups(db);
  await reviews(db);
  await entries(db);
  await takeOver(db);
  for (const table of [...KINDS_AS_TABLES].reverse().filter((name) => name !== 'finds'))
    await db.schema.dropTable(table).execute();
  await db.schema.dropTable('findings').execute();
}

/** As the library for accounts expects them. */
async function accounts(db: Kysely<unknown>): Promise<void> {
  await sql`create table "user" (id text primary key, name text not null, email text not null unique, "emailVerified" boolean not null, image text,
    "createdAt" timestamptz not null default now(), "updatedAt" timestamptz not null default now())`.execute(
    db,
  );
  await sql`create table session (id text primary key, "expiresAt" timestamptz not null, token text not null unique, "createdAt" timestamptz not null default now(),
    "updatedAt" timestamptz not null, "ipAddress" text, "userAgent" text, "userId" text not null references "user" (id) on delete cascade)`.execute(
    db,
  );
  await sql`create table account (id text primary key, "accountId" text not null, "providerId" text not null, "userId" text not null references "user" (id) on delete cascade,
    "accessToken" text, "refreshToken" text, "idToken" text, "accessTokenExpiresAt" timestamptz, "refreshTokenExpiresAt" timestamptz, scope text, password text,
    "createdAt" timestamptz not null default now(), "updatedAt" timestamptz not null)`.execute(db);
  await sql`create table verification (id text primary key, identifier text not null, value text not null, "expiresAt" timestamptz not null,
    "createdAt" timestamptz not null default now(), "updatedAt" timestamptz not null default now())`.execute(
    db,
  );
  await sql`create table "rateLimit" (id text primary key, key text not null unique, count integer not null, "lastRequest" bigint not null)`.execute(
    db,
  );
  await sql`create index session_of_user on session ("userId")`.execute(db);
  await sql`create index account_of_user on account ("userId")`.execute(db);
  await sql`create index verification_by_identifier on verification (identifier)`.execute(db);
  await db.schema
    .createTable('server_secret')
    .addColumn('only', 'boolean', (c) =>
      c
        .primaryKey()
        .defaultTo(true)
        .check(sql`"only"`),
    )
    .addColumn('secret', 'text', (c) => c.notNull())
    .execute();
  await sql`create table rate_limits (key varchar(255) primary key, points integer not null default 0, expire bigint)`.execute(
    db,
  );
  await db.schema
    .createTable('audit')
    .addColumn('number', 'bigint', (c) => c.primaryKey().generatedAlwaysAsIdentity())
    .addColumn('at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addColumn('person', 'text')
    .addColumn('what', 'text', (c) => c.notNull())
    .addColumn('object', 'text')
    .addColumn('detail', 'jsonb')
    .execute();
  await sql`create trigger audit_never_changed before update or delete on audit for each row execute function refuse_change()`.execute(
    db,
  );
  await sql`create trigger audit_never_emptied before truncate on audit for each statement execute function refuse_change()`.execute(
    db,
  );
}

async function groups(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('groups')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('name', 'text', (c) => c.notNull())
    .addColumn('policy', 'jsonb', (c) => c.notNull())
    .addColumn('began_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .execute();
  await db.schema
    .createTable('memberships')
    .addColumn('group_id', 'text', (c) => c.notNull().references('groups.id'))
    .addColumn('person', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('role', 'text', (c) => c.notNull().check(sql`role in ('keeper', 'member', 'young')`))
    .addColumn('joined_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addColumn('left_at', 'timestamptz')
    .addPrimaryKeyConstraint('memberships_key', ['group_id', 'person'])
    .execute();
  await db.schema.createIndex('memberships_of_person').on('memberships').column('person').execute();
  await db.schema
    .createTable('invitations')
    .addColumn('code_hash', 'text', (c) => c.primaryKey())
    .addColumn('group_id', 'text', (c) => c.notNull().references('groups.id'))
    .addColumn('role', 'text', (c) => c.notNull().check(sql`role in ('keeper', 'member', 'young')`))
    .addColumn('by', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('expires_at', 'timestamptz', (c) => c.notNull())
    .addColumn('used_by', 'text', (c) => c.references('people.id'))
    .execute();
}

/** Taxa that a keeper signed as reviewed, each bound to what it said then. */
async function reviews(db: Kysely<unknown>): Promise<void> {
  await db.schema
    .createTable('reviews')
    .addColumn('group_id', 'text', (c) => c.notNull().references('groups.id'))
    .addColumn('taxon', 'text', (c) => c.notNull())
    .addColumn('content', 'text', (c) => c.notNull())
    .addColumn('by', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addColumn('note', 'text')
    .addPrimaryKeyConstraint('reviews_key', ['group_id', 'taxon'])
    .execute();
}

async function entries(db: Kysely<unknown>): Promise<void> {
  // The tables of before step aside; one of the new ones has the name of one of them.
  await db.schema.alterTable('finds').renameTo('findings').execute();
  await db.schema
    .createTable('streams')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('last', 'bigint', (c) => c.notNull().defaultTo(0))
    .execute();
  await db.schema
    .createTable('finds')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('number', 'integer', (c) => c.generatedAlwaysAsIdentity().unique())
    .addColumn('stream', 'text', (c) => c.notNull().references('streams.id'))
    .addColumn('person', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('started_at', 'timestamptz', (c) => c.notNull())
    .execute();
  await db.schema.createIndex('finds_of_stream').on('finds').columns(['stream', 'started_at']).execute();
  await db.schema
    .createTable('entries')
    .addColumn('stream', 'text', (c) => c.notNull().references('streams.id'))
    .addColumn('seq', 'bigint', (c) => c.notNull())
    .addColumn('kind', 'text', (c) => c.notNull())
    .addColumn('id', 'text', (c) => c.notNull())
    .addColumn('find_id', 'text', (c) => c.notNull())
    .addColumn('person', 'text', (c) => c.notNull().references('people.id'))
    .addColumn('stamp', 'text', (c) => c.notNull())
    .addColumn('body', 'jsonb', (c) => c.notNull())
    .addColumn('content_hash', 'text', (c) => c.notNull())
    .addColumn('received_at', 'timestamptz', (c) => c.notNull().defaultTo(sql`now()`))
    .addPrimaryKeyConstraint('entries_key', ['stream', 'seq'])
    .addUniqueConstraint('entries_once', ['kind', 'id'])
    .execute();
  await db.schema.createIndex('entries_of_find').on('entries').columns(['find_id', 'seq']).execute();
  await db.schema
    .createTable('arrivals')
    .addColumn('id', 'text', (c) => c.primaryKey())
    .addColumn('find_id', 'text', (c) => c.notNull())
    .addColumn('arrival', 'jsonb', (c) => c.notNull())
    .execute();
  await db.schema.createIndex('arrivals_of_find').on('arrivals').column('find_id').execute();
  // The bytes of photos and sketches, in the parts in which they came.
  await db.schema
    .createTable('picture_parts')
    .addColumn('picture_id', 'text', (c) => c.notNull())
    .addColumn('find_id', 'text', (c) => c.notNull())
    .addColumn('at_byte', 'integer', (c) => c.notNull())
    .addColumn('bytes', 'bytea', (c) => c.notNull())
    .addPrimaryKeyConstraint('picture_parts_key', ['picture_id', 'at_byte'])
    .execute();
  // What belongs to a person can be deleted by that person, whole; it cannot be changed by anybody.
  await sql`
    create function refuse_change_unless_erased() returns trigger language plpgsql as $$
    begin
      if tg_op = 'DELETE' and current_setting('pause.erasing', true) = 'a person' then return old; end if;
      raise exception '% are only added to, never changed or removed', tg_table_name using errcode = 'restrict_violation';
    end $$`.execute(db);
  for (const table of ['entries', 'arrivals', 'finds']) {
    await sql`create trigger ${sql.raw(`${table}_never_changed`)} before update or delete on ${sql.table(table)} for each row execute function refuse_change_unless_erased()`.execute(
      db,
    );
    await sql`create trigger ${sql.raw(`${table}_never_emptied`)} before truncate on ${sql.table(table)} for each statement execute function refuse_change()`.execute(
      db,
    );
  }
}

/** What was kept before belongs to the person who began the find. */
async function takeOver(db: Kysely<unknown>): Promise<void> {
  await sql`insert into streams (id) select distinct 'p:' || person from findings`.execute(db);
  await sql`insert into finds (id, number, stream, person, started_at) overriding system value
    select id, number, 'p:' || person, person, started_at from findings order by number`.execute(db);
  await sql`select setval(pg_get_serial_sequence('finds', 'number'), coalesce((select max(number) from finds), 0) + 1, false)`.execute(
    db,
  );
  const all = KINDS_AS_TABLES.map((kind, order) => {
    const find = kind === 'finds' ? sql`e.id` : sql`e.find_id`;
    const person = kind === 'readings' || kind === 'decisions' ? sql`e.by` : sql`f.person`;
    const at = kind === 'finds' ? sql`e.started_at` : sql`e.at`;
    const table = sql.table(kind === 'finds' ? 'findings' : kind);
    const body = BODIES[kind];
    return sql`select ${kind} as kind, ${order}::int as of_kind, e.id, ${find} as find_id, f.stream, ${person} as person, ${at} as at, e.received_at, e.content_hash,
      ${body} || jsonb_build_object('id', e.id) as body from ${table} e join finds f on f.id = ${find}`;
  });
  await sql`insert into entries (stream, seq, kind, id, find_id, person, stamp, body, content_hash, received_at)
    select stream, row_number() over (partition by stream order by received_at, of_kind, at, id), kind, id, find_id, person,
      to_char(at at time zone 'UTC', 'YYYY-MM-DD"T"HH24:MI:SS.MS"Z"') || '-0000-before', body, content_hash, received_at
    from (${sql.join(all, sql` union all `)}) as everything`.execute(db);
  await sql`update streams set last = (select coalesce(max(seq), 0) from entries where stream = streams.id)`.execute(
    db,
  );
}
