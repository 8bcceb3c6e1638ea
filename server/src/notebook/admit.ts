import {
  applyToPage,
  isInTime,
  MOST_AHEAD_MS,
  nextStamp,
  isTime,
  tooFarAhead,
  type Arrival,
  type Entry,
  type Stamp,
} from '@pause/core/notebook';
import { descendantOf } from '@pause/core/pantry';
import { mayRead, type Actor } from '../access';
import { invalid, Problem } from '../problem';
import { problemsOf, placeOf, finderOf, taken } from './authorise';
import { sourcesIn } from './checkPage';
import {
  aboutOf,
  begins,
  hashOf,
  mostCharacters,
  notThere,
  timeField,
  timeOf,
  withTime,
  type Pushed,
  type Sending,
} from './entries';
import { judgeHere } from './judge';
import { noted } from './onRecord';
import { idOf, type State } from './state';
import type { Additions } from './store';

/**
 * Decides, entry by entry, what is put on record: who may add it, whether it is right, and what it changes
 * for the next one.
 */

/** Verdicts of one push are worked out for no longer than this: its notebooks are held meanwhile. */
const MOST_JUDGING_MS = 10_000;
const SERVER = 'server';

/** Admits one entry. @throws Problem below 500 where it is refused, above where the whole push can't go on */
export type Admit = (sent: Entry, sending: Sending) => Promise<Pushed>;

export function openAdmission(state: State, additions: Additions): Admit {
  const judgedUntil = Date.now() + MOST_JUDGING_MS;
  let lastStamp: Stamp | undefined;
  /** The entry's own stamp; one of the server's where it has none, or one from a clock that is ahead. */
  const stampOf = (entry: Entry, now: number): Stamp => {
    if (entry.stamp !== undefined && !tooFarAhead(entry.stamp, now)) return entry.stamp;
    lastStamp = nextStamp(lastStamp, now, SERVER);
    return lastStamp;
  };
  return async (sent, sending) => {
    const { actor, options } = sending;
    const again = repeated(state, actor, sent);
    if (again) return again;
    const { entry, movedTo } = onTime(sent, options.now);
    const json = bodyOf(entry);
    const { stream, roles } = placeOf(state, actor, entry);
    const finder = finderOf(state, entry);
    const problems = problemsOf(state, entry, { actor, guide: options.guide, roles });
    const full =
      problems.length > 0 ? [] : state.written.full(actor.person, entry, stream, finder, json.length);
    if (problems.length + full.length > 0) throw invalid([...problems, ...full]);
    const arrival = await arrivalOf(state, entry, stream, sending, judgedUntil);
    const stamp = stampOf(entry, options.now);
    fold(state, additions, { ...entry, stamp });
    state.written.add(actor.person, entry, stream, finder, json.length);
    const seq = putOnRecord(state, additions, { entry, stream, stamp, json, person: actor.person, arrival });
    return {
      status: 'added',
      stream,
      seq,
      stamp,
      ...(movedTo === undefined ? {} : { at: movedTo }),
      ...(arrival ? { arrival } : {}),
    };
  };
}

/** The body as it is kept. @throws Problem where it is too large, or the stamp tells no time */
function bodyOf(entry: Entry): string {
  const json = JSON.stringify(entry.body);
  const most = mostCharacters(entry);
  if (json.length > most)
    throw invalid([{ field: 'body', reason: `it is too large: ${json.length} characters, at most ${most}` }]);
  if (entry.stamp !== undefined && !isTime(entry.stamp))
    throw invalid([{ field: 'stamp', reason: 'it tells no time from 1970 to 2099' }]);
  return json;
}

/** What this server makes of a verdict when it arrives; nothing for other entries. */
async function arrivalOf(
  state: State,
  entry: Entry,
  stream: string,
  { options: { guide, now, judge = judgeHere(guide) } }: Sending,
  until: number,
): Promise<Arrival | undefined> {
  if (entry.kind !== 'verdicts') return undefined;
  if (entry.body.verdict.guide.id !== guide.guide.id)
    throw invalid([{ field: 'verdict.guide.id', reason: `this server decides by "${guide.guide.id}"` }]);
  const record = state.cases.of(entry.find);
  if (!record) throw notThere(entry);
  if (Date.now() > until)
    throw new Problem(
      503,
      'too-busy',
      'These verdicts take too long to work out. Send fewer of them at once.',
    );
  return judge(entry.body.verdict, record, state.groups.get(stream)?.policy, new Date(now).toISOString());
}

interface Admitted {
  readonly entry: Entry;
  readonly stream: string;
  readonly stamp: Stamp;
  readonly json: string;
  readonly person: string;
  readonly arrival: Arrival | undefined;
}

/** Gives an entry the next number of its stream, and adds it to what is stored. @returns that number */
function putOnRecord(
  state: State,
  additions: Additions,
  { entry, stream, stamp, json, person, arrival }: Admitted,
): number {
  const hash = hashOf(entry);
  const seq = (state.last.get(stream) ?? 0) + 1;
  state.last.set(stream, seq);
  if (begins(entry)) state.heads.set(aboutOf(entry), stream);
  state.known.set(idOf(entry.kind, entry.body.id), {
    hash,
    stream,
    seq,
    stamp,
    at: timeOf(entry),
    ...(arrival ? { arrival } : {}),
  });
  add(additions, entry, { stream, seq, stamp, person, body: json, content_hash: hash });
  if (arrival && entry.find !== undefined)
    additions.arrivals.push({ id: entry.body.id, find_id: entry.find, arrival: JSON.stringify(arrival) });
  return seq;
}

/**
 * What an entry that is on record already became.
 *
 * @throws Problem 409 where its id was used for something else
 */
function repeated(state: State, actor: Actor, sent: Entry): Pushed | undefined {
  const earlier = state.known.get(idOf(sent.kind, sent.body.id));
  if (!earlier) return undefined;
  const moved = timeOf(sent) > earlier.at;
  const same =
    earlier.hash === hashOf(sent) || (moved && earlier.hash === hashOf(withTime(sent, earlier.at)));
  if (!same || !mayRead(actor, earlier.stream)) throw taken(sent.body.id);
  return {
    status: 'known',
    stream: earlier.stream,
    seq: earlier.seq,
    stamp: earlier.stamp,
    ...(moved ? { at: earlier.at } : {}),
    ...(earlier.arrival ? { arrival: earlier.arrival } : {}),
  };
}

/**
 * A clock that is ahead must not win over everybody else's: what it dates later than now gets the time at
 * which it arrived.
 */
function onTime(sent: Entry, now: number): { readonly entry: Entry; readonly movedTo?: string } {
  const ms = Date.parse(timeOf(sent));
  if (!isInTime(ms)) throw invalid([{ field: timeField(sent), reason: 'it is no time from 1970 to 2099' }]);
  if (ms <= now + MOST_AHEAD_MS) return { entry: sent };
  const movedTo = new Date(now).toISOString();
  return { entry: withTime(sent, movedTo), movedTo };
}

/** Takes an admitted entry into account for the ones that follow. */
function fold(state: State, additions: Additions, entry: Entry): void {
  if (entry.find !== undefined) {
    const record = noted(state.finds.get(entry.find), entry);
    if (record) state.finds.set(entry.find, record);
    state.cases.add(entry.find, entry);
    return;
  }
  const page = applyToPage(state.pages.get(entry.page), entry);
  if (!page) return;
  state.pages.set(entry.page, page);
  const descendant =
    entry.kind === 'fields' && sourcesIn(entry.body.field, entry.body.value).length > 0
      ? descendantOf(page)
      : undefined;
  if (!descendant) return;
  additions.descends.set(descendant.id, descendant.parents);
  state.parents.set(descendant.id, descendant.parents);
}

type Written = Pick<
  Additions['rows'][number],
  'stream' | 'seq' | 'stamp' | 'person' | 'body' | 'content_hash'
>;
function add(additions: Additions, entry: Entry, written: Written): void {
  const { stream, person } = written;
  additions.rows.push({
    ...written,
    kind: entry.kind,
    id: entry.body.id,
    about: aboutOf(entry),
    find_id: entry.find ?? null,
    page_id: entry.page ?? null,
  });
  if (entry.kind === 'finds')
    additions.finds.push({
      id: entry.find,
      stream,
      person,
      started_at: entry.body.startedAt,
      kingdom: entry.body.kingdom,
    });
  if (entry.kind === 'pages') additions.pages.push({ id: entry.page, stream, kind: entry.body.kind, person });
}
