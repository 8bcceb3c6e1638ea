import type { Entry } from '@pause/core/notebook';
import type { Actor } from '../access';
import type { Db } from '../db';
import { openCombined, type Combined } from './combined';
import type { Pushed, PushOptions, Sending } from './entries';
import { scopeOf } from './locks';
import { openTurns, type TurnLimits, type Turns } from './turns';
import { writeOne, writeTogether } from './write';

/**
 * Puts entries on record, in the order given, each by itself: what is refused keeps nothing else out. Sending
 * again changes nothing. The whole push is one transaction that holds its streams, so their numbers have no
 * gaps and nobody reads a number before the ones below it.
 *
 * @returns what became of each entry, in the same order
 */
export async function push(
  db: Db,
  actor: Actor,
  entries: readonly Entry[],
  options: PushOptions,
): Promise<Pushed[]> {
  const sending: Sending = { actor, entries, options };
  const all = isSmall(entries) ? await combinedOf(db)(sending) : await alone(db, sending);
  // Also where it was known already: the server that took it first may have been killed before it got here.
  for (const [index, entry] of entries.entries())
    if (entry.kind === 'asks' && all[index]?.status !== 'refused')
      await options.asked?.(entry.find, entry.body.id, entry.body.of);
  return all;
}

/** One writer of a notebook at a time in this process, and so many who wait for it. */
const TURNS: TurnLimits = { waiting: 200, longestMs: 15_000 };
const turns = new WeakMap<Db, Turns>();
function turnsOf(db: Db): Turns {
  const known = turns.get(db) ?? openTurns(TURNS);
  turns.set(db, known);
  return known;
}

async function alone(db: Db, sending: Sending): Promise<Pushed[]> {
  const scope = await scopeOf(db, [sending]);
  const write = () => turnsOf(db)(scope.wanted.flat(), () => writeOne(db, sending, scope));
  // Two may send something under one id at the same time: the second one reads what the first one wrote, and
  // is told.
  return write().catch((error: unknown) => {
    if (isTwice(error)) return write();
    throw error;
  });
}
const UNIQUE_VIOLATION = '23505';
const isTwice = (error: unknown) =>
  error instanceof Error && 'code' in error && error.code === UNIQUE_VIOLATION;

/**
 * What a person tells at one time. Verdicts take long, and rules of a group concern everybody: they are
 * written by themselves.
 */
const SMALL = 20;
const isSmall = (entries: readonly Entry[]) =>
  entries.length <= SMALL && entries.every((entry) => entry.find !== undefined && entry.kind !== 'verdicts');

const TOGETHER = 32;
const combined = new WeakMap<Db, Combined<Sending, Pushed[]>>();
function combinedOf(db: Db): Combined<Sending, Pushed[]> {
  const known =
    combined.get(db) ??
    openCombined<Sending, Pushed[]>({
      most: TOGETHER,
      goTogether: (one, other) =>
        one.options.guide === other.options.guide &&
        one.options.recheck === other.options.recheck &&
        one.options.quotas === other.options.quotas,
      together: async (sendings) => writeTogether(db, sendings, await scopeOf(db, sendings)),
      alone: (sending) => alone(db, sending),
    });
  combined.set(db, known);
  return known;
}
