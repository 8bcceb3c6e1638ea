import { useCallback, useEffect, useMemo, useState } from 'react';
import { z } from 'zod';
import { CaseError } from '@pause/core/case/parse';
import { causeOf, recall, strayCauses, type Cause, type Recalled } from '@pause/core/pantry/recall';
import { guide } from '../deciding/guide';
import { selectPantry, type Pantry } from './pantry';
import { allLines, currentFind } from './repository/finds';
import { useAct, useApp, type Thunk } from './store';

/**
 * What no longer holds, as this device knows it; and what the notebook found besides, where it can be
 * reached.
 */

const READ = 'recalled';
const Ids = z.array(z.string()).catch([]);
const Changed = z.object({
  taxon: z.string(),
  character: z.string().optional(),
  readBy: z.array(z.string()),
});
const CauseAnswer = z.object({
  code: z.enum(['verdict', 'decision', 'stray']),
  of: z.string(),
  grade: z.enum(['none', 'unpleasant', 'serious', 'deadly']),
  because: z.enum(['guide', 'record', 'policy', 'rules']).optional(),
  outcome: z.enum(['leave', 'pause']).optional(),
  touched: z.literal(true).optional(),
  changed: z.array(Changed).optional(),
}) as unknown as z.ZodType<Cause>;
const Answer = z.object({
  recalls: z.array(z.object({ cause: CauseAnswer, ids: z.array(z.string()) })),
  run: z.object({ done: z.number(), total: z.number() }).optional(),
});

/** Lets the screen draw between two handfuls of finds. */
const AT_ONCE = 40;
const breathe = () => new Promise((resolve) => setTimeout(resolve, 0));

/** Asks every find that was collected once more, and every harvest for what its strays are. */
export function causesHere(): Thunk<Promise<Cause[]>> {
  return async (dispatch, getState) => {
    const { me } = getState();
    const { descent, harvests } = selectPantry(getState());
    const collected = (await dispatch(allLines()))
      .filter(({ choice }) => choice === 'collect')
      .map(({ id }) => id);
    const roots = [...descent.kinds].flatMap(([id, kind]) => (kind === 'find' ? [id] : []));
    const causes: Cause[] = strayCauses(
      harvests.map(({ id, person, fields: { on, bag, sorting } }) => ({
        id,
        person,
        on,
        bag,
        grades: sorting?.grades ?? [],
      })),
    );
    for (const [index, id] of [...new Set([...collected, ...roots])].entries()) {
      if (index % AT_ONCE === AT_ONCE - 1) await breathe();
      const record = await dispatch(currentFind(id));
      if (!record) continue;
      try {
        const cause = causeOf(
          record,
          guide,
          me.person?.groups.find((one) => one.id === record.group)?.policy,
        );
        if (cause) causes.push(cause);
      } catch (error) {
        if (!(error instanceof CaseError)) throw error;
        causes.push({ code: 'verdict', of: id, because: 'guide', outcome: 'pause', grade: 'deadly' });
      }
    }
    return causes;
  };
}

/** What the notebook found: also of finds that this person may not see. */
function fetchCauses(): Thunk<Promise<z.infer<typeof Answer> | undefined>> {
  return async (_, getState, { api }) => {
    if (getState().me.person?.account !== true || getState().outbox.away) return undefined;
    return Answer.safeParse(await api.ask('GET', '/recalls').catch(() => undefined)).data;
  };
}

const readBefore =
  (): Thunk<Promise<string[]>> =>
  async (_, __, { device }) =>
    Ids.parse(await device.file(READ));
const keepRead =
  (ids: readonly string[]): Thunk<Promise<void>> =>
  async (_, __, { device }) => {
    await device.keepFile(READ, ids).catch(() => undefined);
  };

/** By which a recall is known again: it is another one once its causes are. */
export const recallKey = ({ id, causes }: Pick<Recalled, 'id' | 'causes'>): string =>
  `${id} ${causes
    .map((one) =>
      [one.code, one.of, one.grade, one.code === 'verdict' ? `${one.because}-${one.outcome}` : ''].join(' '),
    )
    .sort()
    .join(' | ')}`.slice(0, 400);

export interface Recalls {
  /** Everything that is in question and of which there may still be some, or that was eaten. */
  readonly all: readonly Recalled[];
  /** Of these, what nobody here has seen to yet. */
  readonly open: readonly Recalled[];
  /** How far the notebook has got with asking again. */
  readonly run: { readonly done: number; readonly total: number } | undefined;
  readonly ready: boolean;
  readonly seenTo: (one: Recalled) => void;
}

export function recalledOf(pantry: Pantry, causes: readonly Cause[]): Recalled[] {
  const gifts = new Set(pantry.portions.flatMap(({ id, fields }) => (fields.what === 'gift' ? [id] : [])));
  const finished = new Set([
    ...pantry.batches.flatMap(({ id, fields }) => (fields.ended ? [id] : [])),
    ...pantry.portions.flatMap(({ id, fields }) => (fields.what === 'thrown-out' ? [id] : [])),
  ]);
  return recall(pantry.descent, causes, (id) => gifts.has(id)).filter(({ id }) => !finished.has(id));
}

export function useRecalls(pantry: Pantry & { readonly ready: boolean }): Recalls {
  const list = useApp((state) => state.list.items);
  const here = useCausesHere(pantry);
  const answer = useCausesThere();
  const { read, seenTo } = useRead();
  const all = useMemo(() => {
    if (!here) return [];
    const mine = new Set(here.map((one) => one.of));
    // What this device can judge itself it judges by what it knows, which may be newer.
    const besides = (answer?.recalls ?? []).flatMap(({ cause }) =>
      mine.has(cause.of) || list.some(({ id }) => id === cause.of) || cause.of in pantry.pages ? [] : [cause],
    );
    return recalledOf(pantry, [...here, ...besides]);
  }, [here, list, pantry, answer]);
  const done = useMemo(
    () =>
      new Set([...read, ...pantry.batches.flatMap(({ fields: { recalled } }) => recalled?.because ?? [])]),
    [pantry, read],
  );
  return {
    all,
    open: all.filter((one) => !done.has(recallKey(one))),
    run: answer?.run,
    ready: here !== undefined,
    seenTo,
  };
}

/** What this device finds itself; undefined until it has looked. */
function useCausesHere({ pages, ready }: Pantry & { readonly ready: boolean }) {
  const act = useAct();
  const list = useApp((state) => state.list.items);
  const finds = useApp((state) => state.finds);
  const known = useApp((state) => state.me.status === 'ready');
  const [here, setHere] = useState<readonly Cause[]>();
  useEffect(() => {
    if (!ready || !known) return undefined;
    let stale = false;
    void act(causesHere()).then((causes) => {
      if (!stale) setHere(causes);
    });
    return () => {
      stale = true;
    };
  }, [act, finds, known, list, pages, ready]);
  return here;
}

/** What the server finds; asked anew once what was recorded here has arrived there. */
function useCausesThere() {
  const act = useAct();
  const known = useApp((state) => state.me.status === 'ready');
  const away = useApp((state) => state.outbox.away);
  const waits = useApp((state) => state.outbox.waiting.length > 0);
  const [answer, setAnswer] = useState<z.infer<typeof Answer>>();
  useEffect(() => {
    if (!known || away || waits) return undefined;
    let stale = false;
    void act(fetchCauses()).then((causes) => {
      if (!stale) setAnswer(causes);
    });
    return () => {
      stale = true;
    };
  }, [act, away, known, waits]);
  return answer;
}

/** As many as are kept. */
const MOST_READ = 500;

/** What was read on this device, and reading more. */
function useRead() {
  const act = useAct();
  const [read, setRead] = useState<readonly string[]>([]);
  useEffect(() => {
    void act(readBefore()).then(setRead);
  }, [act]);
  const seenTo = useCallback(
    (one: Recalled) => {
      setRead((before) => {
        const now = [...before, recallKey(one)].slice(-MOST_READ);
        void act(keepRead(now));
        return now;
      });
    },
    [act],
  );
  return { read, seenTo };
}
