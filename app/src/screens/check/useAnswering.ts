import { startTransition, useState } from 'react';
import type { CharacterId, Check, ReadingId, Verdict } from '@pause/core';
import { changeContext, passOver, read, takeBack } from '../../notebook/actions';
import { useAct, useApp } from '../../notebook/store';
import { characterOf, readingWords } from '../../text/names';
import { waitsForAdult } from './AdultFirst';
import type { Answer } from './card';
import type { CheckNow } from './CheckParts';
import type { Checks } from './useChecks';
import { isJudging, useLatest, useSaving } from './useJudged';

/** The answer before, until the next one is given. */
export interface Last {
  readonly reading: ReadingId;
  readonly words: string;
  /** The bars before it. */
  readonly rows: Verdict['rows'];
}

/** What a person does with the question on the screen, and what it waits for. */
export interface Answering {
  readonly last: Last | undefined;
  readonly saving: ReturnType<typeof useSaving>;
  /** An answer that waits for the word of whoever looks along. */
  readonly given: Answer | undefined;
  readonly answer: (answer: Answer) => void;
  /** @param together - whoever saw the same */
  readonly keep: (answer: Answer, together?: string) => void;
  readonly reconsider: () => void;
  readonly pass: () => void;
  readonly back: () => void;
  readonly cannotSmell: () => void;
  /** Whether gloves have to be put on first. */
  readonly gloves: boolean;
  readonly putOnGloves: () => void;
  readonly withoutGloves: () => void;
  /** Whether a child has to wait for an adult first. */
  readonly adult: boolean;
  readonly adultIsHere: () => void;
  /** Goes on to what a child can look at alone; undefined where nothing of that is left. */
  readonly withoutAdult: (() => void) | undefined;
}

/** @param settleDown - brings the next question into view */
export function useAnswering(shown: CheckNow, asked: Checks, settleDown: () => void): Answering {
  const act = useAct();
  const { record, evaluation } = shown;
  const { verdict } = evaluation;
  const { check, piece } = asked;
  const saving = useSaving();
  const next = () => {
    asked.choose(undefined);
    settleDown();
  };
  const { last, setLast, ...keeping } = useKeeping({ shown, asked, saving, next });
  const pass = useLatest(() => {
    if (!check || isJudging(saving.get(), check, shown)) return;
    saving.set({ character: check.character, before: verdict });
    void act(passOver(record.id, piece, check.character));
    setLast(undefined);
    next();
  });
  const back = useLatest(() => {
    if (!last) return;
    // Until that is judged the question is still the one before: an answer meant for the one that comes back
    // must not land on it.
    saving.set(check && { character: check.character, before: verdict });
    void act(takeBack(record.id, last.reading)).then((kept) => {
      if (!kept) saving.set(undefined);
    });
    setLast(undefined);
    next();
  });
  const cannotSmell = useLatest(() => {
    void act(changeContext(record.id, { cannotSmell: true }));
    next();
  });
  return {
    last,
    saving,
    ...keeping,
    pass,
    back,
    cannotSmell,
    ...useGloves(asked, pass),
    ...useAdult(asked),
  };
}

interface Keeping {
  readonly shown: CheckNow;
  readonly asked: Checks;
  readonly saving: ReturnType<typeof useSaving>;
  /** Goes on to the next question. */
  readonly next: () => void;
}

/** Keeps an answer; one that is disputed waits for the word of whoever looks along. */
function useKeeping({ shown, asked, saving, next }: Keeping) {
  const act = useAct();
  const { record, evaluation } = shown;
  const { verdict } = evaluation;
  const { check, piece, word } = asked;
  const [last, setLast] = useState<Last | undefined>();
  const [waiting, setWaiting] = useState<{ readonly of: CharacterId; readonly given: Answer }>();
  const keep = useLatest(({ value, sureness, note }: Answer, together?: string) => {
    if (!check || isJudging(saving.get(), check, shown)) return;
    setWaiting(undefined);
    // The core is asked before anything is drawn.
    const keeping = act(
      read(record.id, {
        piece,
        character: check.character,
        value,
        sureness,
        ...(note ? { note } : {}),
        ...(together === undefined ? {} : { together: [together] }),
      }),
    );
    saving.set({ character: check.character, before: verdict });
    void keeping.then((reading) => {
      // Shown only once it is kept; what was not kept may be answered again.
      if (!reading) return saving.set(undefined);
      // Strip and bars are drawn before it.
      startTransition(() => {
        setLast({ reading, words: readingWords({ character: check.character, value }), rows: verdict.rows });
        next();
      });
    });
  });
  const answer = useLatest((answered: Answer) => {
    if (word !== undefined && check && asked.isDisputed(check.character))
      setWaiting({ of: check.character, given: answered });
    else keep(answered);
  });
  return {
    last,
    setLast,
    // Whoever turns to another question meanwhile has not answered that one.
    given: waiting?.of === check?.character ? waiting?.given : undefined,
    answer,
    keep,
    reconsider: useLatest(() => setWaiting(undefined)),
  };
}

/** Gloves are asked for once; without them only what is looked at is asked, as long as there is any of it. */
function useGloves({ checks, check, choose }: Checks, pass: () => void) {
  const [worn, setWorn] = useState(false);
  const withoutGloves = useLatest(() => {
    const looking = checks.find((c) => !wantsGloves(c));
    if (looking && looking.character !== check?.character) choose(looking.character);
    else pass();
  });
  return {
    gloves: check !== undefined && !worn && wantsGloves(check),
    putOnGloves: useLatest(() => setWorn(true)),
    withoutGloves,
  };
}

/** A child's device waits for an adult at each check that is not for a child. */
function useAdult({ checks, check, choose }: Checks) {
  const child = useApp((state) => state.look.child);
  const [allowed, setAllowed] = useState<Check>();
  const alone = child
    ? checks.find((one) => !waitsForAdult(one) && one.character !== check?.character)
    : undefined;
  const lookAlone = useLatest(() => choose(alone?.character));
  return {
    adult: child && check !== undefined && check.character !== allowed?.character && waitsForAdult(check),
    adultIsHere: useLatest(() => setAllowed(check)),
    withoutAdult: alone && lookAlone,
  };
}

/** Whether it touches what may harm the skin, or is made with gloves anyway. */
function wantsGloves({ character, skin }: Check): boolean {
  return skin.length > 0 || (characterOf(character)?.gear ?? []).includes('gloves');
}
