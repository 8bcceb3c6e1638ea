import type { Entry } from '@pause/core/notebook';
import type { Db } from '../db';
import { settleGroups } from '../groups';
import { forget } from '../pictures';
import { Problem } from '../problem';
import { openAdmission, type Admit } from './admit';
import { MOVES, type Moved, type Pushed, type PushOptions, type Sending } from './entries';
import { hold, holdFree, holdPerson, type Scope } from './locks';
import { readState, type State } from './state';
import { noAdditions, store } from './store';

/**
 * The transaction in which entries are put on record: hold the notebooks, read what is there, admit each
 * entry, store what was admitted.
 */

/** Writes for one, and waits for the notebooks as long as it takes. */
export async function writeOne(db: Db, sending: Sending, scope: Scope): Promise<Pushed[]> {
  return db.transaction().execute(async (transaction) => {
    await holdPerson(transaction, sending.actor.person);
    const [pushed] = await write(
      transaction,
      [sending],
      scope,
      await hold(transaction, [...(scope.wanted[0] ?? [])].sort()),
    );
    return pushed ?? [];
  });
}

/**
 * Writes for several at once, and waits for nobody: one transaction costs about as much for many small
 * sendings as for one.
 *
 * @returns what became of the entries of each; nothing for a sending that has to be written by itself,
 * because somebody holds what it needs
 */
export async function writeTogether(
  db: Db,
  sendings: readonly Sending[],
  scope: Scope,
): Promise<(Pushed[] | undefined)[]> {
  return db.transaction().execute(async (transaction) => {
    const { people, last } = await holdFree(
      transaction,
      [...new Set(sendings.map(({ actor }) => actor.person))],
      [...new Set(scope.wanted.flat())],
    );
    const free = sendings.map(
      ({ actor, options }, index) =>
        people.has(actor.person) &&
        options.signal?.aborted !== true &&
        (scope.wanted[index] ?? []).every((stream) => last.has(stream)),
    );
    const mine = sendings.filter((_, index) => free[index]);
    if (mine.length === 0) return sendings.map(() => undefined);
    const written = await write(
      transaction,
      mine,
      { ...scope, wanted: scope.wanted.filter((_, index) => free[index]) },
      last,
    );
    let next = 0;
    return free.map((one) => (one ? written[next++] : undefined));
  });
}

/** @param last the last number of each stream that is held */
async function write(
  transaction: Db,
  sendings: readonly Sending[],
  scope: Scope,
  last: Map<string, number>,
): Promise<Pushed[][]> {
  const state = await readState(transaction, sendings, scope, last);
  const additions = noAdditions();
  const pushed = await admitAll(openAdmission(state, additions), sendings);
  await store(transaction, additions, state.written.added());
  for (const [index, sending] of sendings.entries())
    await settleGroups(transaction, sending.actor.person, added(sending, pushed[index]).filter(isOfGroup));
  const all = sendings.flatMap((sending, index) => added(sending, pushed[index]));
  await forget(
    transaction,
    all.flatMap((entry) => (entry.kind === 'drops' ? [entry.body.picture] : [])),
  );
  await recheckWhatMoved(transaction, all, state, sendings[0]?.options.recheck);
  return pushed;
}

async function admitAll(admit: Admit, sendings: readonly Sending[]): Promise<Pushed[][]> {
  const pushed: Pushed[][] = [];
  for (const sending of sendings) {
    const became: Pushed[] = [];
    for (const entry of sending.entries) {
      // Together with others it is written all the same: they must not have to begin again.
      if (sendings.length === 1 && sending.options.signal?.aborted)
        throw new Problem(499, 'gone', 'Whoever sent this is gone.');
      const one = await admit(entry, sending).catch((error: unknown): Pushed => {
        if (error instanceof Problem && error.status < 500) return { status: 'refused', problem: error };
        throw error;
      });
      became.push(one);
    }
    pushed.push(became);
  }
  return pushed;
}

type GroupField = Extract<Entry, { page: string; kind: 'fields' }>;
const isOfGroup = (entry: Entry): entry is GroupField => entry.kind === 'fields' && entry.body.of === 'group';
const added = (sending: Sending, became: readonly Pushed[] = []) =>
  sending.entries.filter((_, index) => became[index]?.status === 'added');

/** Has whatever may not hold any more after what was added decided again. */
async function recheckWhatMoved(
  db: Db,
  added: readonly Entry[],
  { heads, written }: State,
  recheck: PushOptions['recheck'],
): Promise<void> {
  if (!recheck) return;
  const finds = [
    ...new Set(
      added.flatMap(({ find, kind }) =>
        find !== undefined && MOVES.includes(kind) && written.isCollected(find) ? [find] : [],
      ),
    ),
  ];
  const strays = added.flatMap((entry) =>
    entry.kind === 'fields' &&
    entry.body.of === 'harvest' &&
    (entry.body.field === 'sorting' || entry.body.field === 'bag')
      ? [entry.page]
      : [],
  );
  const moved: Moved = {
    finds,
    streams: [...new Set(finds.flatMap((find) => heads.get(`find ${find}`) ?? []))],
    harvests: [...new Set(strays)],
    groups: [
      ...new Set(
        added
          .filter(isOfGroup)
          .filter(({ body }) => body.field !== 'name')
          .map(({ page }) => page),
      ),
    ],
  };
  if ([moved.finds, moved.harvests, moved.groups].some((ids) => ids.length > 0)) await recheck(moved, db);
}
