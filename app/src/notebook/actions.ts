import type {
  Entry,
  Kingdom,
  TaxonId,
  Case,
  Reading,
  PieceId,
  ReadingId,
  Edit,
  CharacterId,
  ReadingValue,
  Sureness,
} from '@pause/core';
import { now, add, addMade } from './add';
import { newId, person } from './open';
import type { Thunk } from './store';

/** What a find begins with. */
interface Start {
  readonly kingdom: Kingdom;
  readonly bodyPlan: string;
  readonly target?: TaxonId;
  readonly placeNote?: string;
  /** A name that the guide does not know, as it was typed. */
  readonly verbatimIdentification?: string;
  readonly placePage?: string;
  readonly group?: string;
  readonly context: Case['context'];
  /** What is known of where it grows. */
  readonly answers?: readonly Pick<Reading, 'character' | 'value'>[];
}

/**
 * Begins a find on a first piece, with what it is taken for, if anything.
 *
 * @returns its id, as soon as it is kept
 */
export function startFind(start: Start): Thunk<Promise<string | undefined>> {
  return async (dispatch) => {
    const find = newId();
    return (await dispatch(add(...dispatch(beginning(find, start))))) ? find : undefined;
  };
}

/** The entries of a new find. */
function beginning(find: string, start: Start): Thunk<Entry[]> {
  return (dispatch) => {
    const piece = newId() as PieceId;
    const {
      kingdom,
      bodyPlan,
      placeNote,
      verbatimIdentification,
      placePage,
      target,
      group,
      answers = [],
    } = start;
    const startedAt = dispatch(now());
    const by = dispatch(person());
    const made = () => ({ id: newId(), at: dispatch(now()) });
    const edit = (
      field: 'placeNote' | 'verbatimIdentification' | 'placePage',
      value: string | undefined,
    ): Entry[] => (value ? [{ kind: 'edits', find, body: { ...made(), by, field, value } }] : []);
    return [
      {
        kind: 'finds',
        find,
        body: { id: find, startedAt, kingdom, bodyPlan, ...(group ? { group } : {}), person: by },
      },
      { kind: 'pieces', find, body: { ...made(), id: piece, purpose: 'decide' } },
      ...(target ? [{ kind: 'targets', find, body: { ...made(), taxon: target } } as const] : []),
      {
        kind: 'contexts',
        find,
        body: { ...made(), context: { ...start.context, month: new Date(startedAt).getMonth() + 1 } },
      },
      ...answers.map((answer): Entry => {
        const body = { ...answer, id: newId() as ReadingId, piece, sureness: 'fairly' as const, by };
        return { kind: 'readings', find, body: { ...body, at: dispatch(now()) } };
      }),
      ...edit('placeNote', placeNote),
      ...edit('verbatimIdentification', verbatimIdentification),
      ...edit('placePage', placePage),
    ];
  };
}

type Context = Case['context'];

/** The members of a context that change; one that is undefined is no longer known. */
export type ContextChange = { readonly [Name in keyof Context]?: Context[Name] | undefined };

/**
 * Changes some members of a find's context and leaves all others as they are, so that answers in quick
 * succession are all kept, and those of two devices too.
 *
 * @param change - a member that depends on what is known by then is worked out by a function
 */
export function changeContext(
  find: string,
  change: ContextChange | ((context: Context) => ContextChange),
): Thunk<Promise<boolean>> {
  return (dispatch, getState) =>
    dispatch(
      addMade(() => {
        const was: Context = getState().finds[find]?.record?.context ?? {};
        const wanted = typeof change === 'function' ? change(was) : change;
        const names = Object.keys(wanted) as (keyof Context)[];
        const changed = names.filter((name) => was[name] !== wanted[name]);
        if (changed.length === 0) return [];
        const known = changed.filter((name) => wanted[name] !== undefined);
        const context = Object.fromEntries(known.map((name) => [name, wanted[name]]));
        return [{ kind: 'contexts', find, body: { id: newId(), at: dispatch(now()), context, changed } }];
      }),
    );
}

type FieldAndValue<E> = E extends Edit ? Pick<E, 'field' | 'value'> : never;
/** A small thing of a find, and what is written over it. */
export type Overwrite = FieldAndValue<Edit>;

/** Writes over small things of a find; what stood there before stays visible. */
export function write(find: string, ...written: readonly Overwrite[]): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(
      add(
        ...written.map((one) => ({
          kind: 'edits' as const,
          find,
          body: { id: newId(), at: dispatch(now()), by: dispatch(person()), ...one },
        })),
      ),
    );
}

export function changeTarget(find: string, taxon: TaxonId): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(add({ kind: 'targets', find, body: { id: newId(), at: dispatch(now()), taxon } }));
}

export function startPiece(find: string, purpose: 'decide' | 'compare'): Thunk<PieceId> {
  return (dispatch) => {
    const id = newId() as PieceId;
    void dispatch(add({ kind: 'pieces', find, body: { id, at: dispatch(now()), purpose } }));
    // Another shoot has to be followed to its root for itself.
    if (purpose === 'decide') void dispatch(changeContext(find, { tracedToBase: undefined }));
    return id;
  };
}

export function read(
  find: string,
  reading: {
    piece: PieceId;
    character: CharacterId;
    value: ReadingValue;
    sureness: Sureness;
    note?: string;
    blind?: boolean;
    by?: string;
    together?: string[];
  },
): Thunk<Promise<ReadingId | undefined>> {
  return async (dispatch) => {
    const body: Reading = {
      ...reading,
      id: newId() as ReadingId,
      by: reading.by ?? dispatch(person()),
      at: dispatch(now()),
    };
    return (await dispatch(add({ kind: 'readings', find, body }))) ? body.id : undefined;
  };
}

export function takeBack(find: string, reading: ReadingId): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(add({ kind: 'withdrawals', find, body: { id: newId(), at: dispatch(now()), reading } }));
}

/** What was taken back by a slip is read as it was. */
export function putForwardAgain(
  find: string,
  { piece, character, value, sureness, note }: Reading,
): Thunk<Promise<ReadingId | undefined>> {
  return read(find, { piece, character, value, sureness, ...(note ? { note } : {}) });
}

export function passOver(find: string, piece: PieceId, character: CharacterId): Thunk<Promise<boolean>> {
  return (dispatch) =>
    dispatch(add({ kind: 'skips', find, body: { id: newId(), at: dispatch(now()), piece, character } }));
}
