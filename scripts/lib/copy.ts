import { readFileSync, writeFileSync } from 'node:fs';
import { compileGuide } from '@pause/core';
import { shippedGuide } from '@pause/guide';
import { connect, digest, differences, migrate, type Digest } from '@pause/server';
import { sql } from 'kysely';
import { binaries } from './postgres';
import { run, tail } from './run';
import { Hitch } from './say';

/** A copy of a notebook in one file, and back; with what it comes to beside it, so that a copy can be checked. */

const beside = (file: string) => `${file}.check.json`;

/** Writes all of a database into a file, as PostgreSQL's own program does, from one moment of it. @returns what it comes to */
export async function backUp(url: string, file: string): Promise<Digest> {
  const bin = await binaries();
  const db = connect(url);
  try {
    return await db.transaction().setIsolationLevel('repeatable read').execute(async (transaction) => {
      const { rows: [moment] } = await sql<{ id: string }>`select pg_export_snapshot() as id`.execute(transaction);
      const { status, output } = await run(`${bin}/pg_dump`, ['--format=custom', `--snapshot=${moment?.id ?? ''}`, `--file=${file}`, url]);
      if (status !== 0) throw new Hitch(`The copy could not be written to ${file}: ${tail(output, 3)}`);
      const told = await digest(transaction, compileGuide(shippedGuide()));
      writeFileSync(beside(file), `${JSON.stringify(told, null, 2)}\n`);
      return told;
    });
  } finally {
    await db.destroy();
  }
}

/** Makes a new database of a copy, and checks it against what the copy was made of. @returns its address */
export async function restore(file: string, server: string, name: string): Promise<{ url: string; told: Digest; wrong: string[] }> {
  const before = checkOf(file);
  const bin = await binaries();
  const admin = connect(server);
  await sql`create database ${sql.id(name)}`.execute(admin).finally(() => admin.destroy());
  const url = new URL(server);
  url.pathname = `/${name}`;
  const { status, output } = await run(`${bin}/pg_restore`, ['--no-owner', '--exit-on-error', `--dbname=${url.href}`, file]);
  if (status !== 0) throw new Hitch(`The copy in ${file} could not be read back: ${tail(output, 3)}`);
  const db = connect(url.href);
  try {
    await migrate(db);
    const told = await digest(db, compileGuide(shippedGuide()));
    return { url: url.href, told, wrong: differences(before, told) };
  } finally {
    await db.destroy();
  }
}

function checkOf(file: string): Digest {
  try {
    return JSON.parse(readFileSync(beside(file), 'utf8')) as Digest;
  } catch {
    throw new Hitch(`${beside(file)} is not there; without it nobody can tell whether the copy is whole.`);
  }
}
