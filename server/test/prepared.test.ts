/** Statements that are asked again and again have a name, and PostgreSQL plans them once. */
import { sql } from 'kysely';
import type pg from 'pg';
import { connect } from '../src/db';
import { preparing, statementName } from '../src/db/prepared';
import { freshDatabase } from './database';

test('from the fifth time on; never where the columns are not named', () => {
  const text = 'select id from finds where id = $1 -- of this test';
  expect(Array.from({ length: 6 }, () => statementName(text)).map((name) => name !== undefined)).toEqual([
    false,
    false,
    false,
    false,
    true,
    true,
  ]);
  expect(statementName(text)).toBe(statementName(text));
  for (const all of ['select * from finds', 'select "f".* from finds f', 'delete from finds returning *'])
    expect(Array.from({ length: 9 }, () => statementName(all))).toEqual(
      Array.from({ length: 9 }, () => undefined),
    );
  expect(statementName('select count(*) from finds')).toBeUndefined();
});

test('a connection that is given up is given up, and not put back for the next one', async () => {
  const released: unknown[] = [];
  const client = {
    query: () => Promise.resolve({ rows: [] }),
    release: (destroy?: boolean) => released.push(destroy),
  };
  const pool = preparing({
    connect: () => Promise.resolve(client),
    end: () => Promise.resolve(),
  } as unknown as pg.Pool);
  for (const destroy of [false, true]) (await pool.connect()).release(destroy);
  expect(released).toEqual([false, true]);
});

test('however many there are, so many have a name', () => {
  const named = Array.from({ length: 900 }, (_, n) => `select ${n}`).filter(
    (text) => Array.from({ length: 5 }, () => statementName(text)).at(-1) !== undefined,
  );
  expect(named.length).toBeLessThanOrEqual(400);
  expect(named.length).toBeGreaterThan(300);
});

test('the database knows them by it, and a change of the table is no harm', async () => {
  const { url, db, close } = await freshDatabase('prepared_test');
  const one = connect(url, { max: 1 });
  try {
    const ask = async () =>
      (await sql<{ name: string }>`select name from people where name <> ${'nobody at all'}`.execute(one))
        .rows;
    await db.insertInto('people').values({ id: 'p', name: 'Oda' }).execute();
    for (let n = 0; n < 7; n += 1) expect(await ask()).toEqual([{ name: 'Oda' }]);
    const { rows } = await sql<{ statement: string }>`select statement from pg_prepared_statements`.execute(
      one,
    );
    // There is room for it, unless a test before took all of it.
    expect(rows.length).toBeLessThanOrEqual(400);
    await sql`alter table people add column more text`.execute(db);
    expect(await ask()).toEqual([{ name: 'Oda' }]);
  } finally {
    await one.destroy();
    await close();
  }
});
