import { readFileSync, rmSync, writeFileSync } from 'node:fs';
import { sql } from 'kysely';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { connect, digest, differences, migrate, type Digest } from '@pause/server';
import { binaries } from './postgres';
import { run, tail } from './run';
import { Hitch } from './say';

/**
 * A copy of a notebook in one file, and back; with what it comes to beside it, so that a copy can be checked.
 */

const beside = (file: string) => `${file}.check.json`;
/** Only whoever owns them reads them: a copy holds everything. */
const OWNER_ONLY = { mode: 0o600 };

/**
 * An address for PostgreSQL's own programs: what a program is given as an argument everybody on the machine
 * can read, so the password goes another way.
 */
function withoutPassword(url: string): { readonly address: string; readonly env: NodeJS.ProcessEnv } {
  const address = new URL(url);
  const { password } = address;
  address.password = '';
  return { address: address.href, env: password === '' ? {} : { PGPASSWORD: decodeURIComponent(password) } };
}

/**
 * Writes all of a database into a file, as PostgreSQL's own program does, from one moment of it.
 *
 * @returns what it comes to
 */
export async function backUp(url: string, file: string): Promise<Digest> {
  const bin = await binaries();
  const db = connect(url);
  try {
    return await db
      .transaction()
      .setIsolationLevel('repeatable read')
      .execute(async (transaction) => {
        const {
          rows: [moment],
        } = await sql<{ id: string }>`select pg_export_snapshot() as id`.execute(transaction);
        const { address, env } = withoutPassword(url);
        writeFileSync(file, '', OWNER_ONLY);
        const { status, output } = await run(
          `${bin}/pg_dump`,
          ['--format=custom', '--no-acl', `--snapshot=${moment?.id ?? ''}`, `--file=${file}`, address],
          { env },
        );
        if (status !== 0) {
          rmSync(file, { force: true });
          throw new Hitch(`The copy could not be written to ${file}: ${tail(output, 3)}`);
        }
        const summary = await digest(transaction, compileGuide(shippedGuide()));
        writeFileSync(beside(file), `${JSON.stringify(summary, null, 2)}\n`, OWNER_ONLY);
        return summary;
      });
  } finally {
    await db.destroy();
  }
}

/**
 * Makes a new database of a copy, and checks it against what the copy was made of. What is not whole is not
 * left there.
 *
 * @returns its address
 */
export async function restore(
  file: string,
  server: string,
  name: string,
): Promise<{ url: string; summary: Digest; wrong: string[] }> {
  const before = checkOf(file);
  const bin = await binaries();
  const admin = connect(server);
  await sql`create database ${sql.id(name)}`.execute(admin).finally(() => admin.destroy());
  const url = new URL(server);
  url.pathname = `/${name}`;
  try {
    const { address, env } = withoutPassword(url.href);
    const { status, output } = await run(
      `${bin}/pg_restore`,
      ['--no-owner', '--no-acl', '--exit-on-error', `--dbname=${address}`, file],
      { env },
    );
    if (status !== 0) throw new Hitch(`The copy in ${file} could not be read back: ${tail(output, 3)}`);
    const summary = await checked(url.href);
    const wrong = differences(before, summary);
    if (wrong.length > 0) await dropDatabase(server, name);
    return { url: url.href, summary, wrong };
  } catch (error) {
    await dropDatabase(server, name);
    throw error;
  }
}

async function checked(url: string): Promise<Digest> {
  const db = connect(url);
  try {
    await migrate(db);
    return await digest(db, compileGuide(shippedGuide()));
  } finally {
    await db.destroy();
  }
}

async function dropDatabase(server: string, name: string): Promise<void> {
  const admin = connect(server);
  await sql`drop database if exists ${sql.id(name)} with (force)`
    .execute(admin)
    .finally(() => admin.destroy());
}

function checkOf(file: string): Digest {
  try {
    return JSON.parse(readFileSync(beside(file), 'utf8')) as Digest;
  } catch {
    throw new Hitch(`${beside(file)} is not there; without it nobody can tell whether the copy is whole.`);
  }
}
