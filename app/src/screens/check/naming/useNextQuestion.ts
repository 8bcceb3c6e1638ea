import { useRef, useState } from 'react';
import type { CharacterId, FindRecord, PieceId, ReadingId } from '@pause/core';
import type { Identification, TellingCheck } from '@pause/core/advice/identify';
import { changeContext, passOver, read, takeBack } from '../../../notebook/actions';
import { useAct, useApp } from '../../../notebook/store';
import { type Answer, cardKey } from '../card';

/** What is asked next to find a name, and what can be done with it. */
export interface NextQuestion {
  /** Nothing where the guide knows no further look. */
  readonly character: CharacterId | undefined;
  /** Two candidates that it tells apart, if it does. */
  readonly apart: TellingCheck['apart'];
  /** Changes with each question. */
  readonly key: string;
  readonly answer: (answer: Answer) => void;
  readonly pass: () => void;
  /** Leaves it for now, without a word on record. */
  readonly later: () => void;
  /** The nose is no use today; undefined where that is known. */
  readonly cannotSmell: (() => void) | undefined;
  /** Asks something else than what is proposed. */
  readonly choose: (character: CharacterId) => void;
  /** The last reading of one's own, which can be taken back. */
  readonly last: ReadingId | undefined;
  readonly back: () => void;
}

export function useNextQuestion(
  record: FindRecord,
  piece: PieceId | undefined,
  identification: Identification | undefined,
): NextQuestion {
  const act = useAct();
  const me = useApp((state) => state.me.person?.id ?? '');
  const answering = useRef<CharacterId>(undefined);
  const [later, setLater] = useState<readonly CharacterId[]>([]);
  const [chosen, setChosen] = useState<CharacterId>();
  const { readings, skips, withdrawals } = record;
  const isWithdrawn = (id: string) => withdrawals.some((w) => w.reading === id);
  const passed = new Set<string>([
    ...later,
    ...skips.map((s) => s.character),
    ...readings.filter((r) => !isWithdrawn(r.id)).map((r) => r.character),
  ]);
  const character = chosen ?? identification?.checks.find((c) => !passed.has(c.character))?.character;
  const last = [...readings]
    .sort((a, b) => (a.at < b.at ? 1 : -1))
    .find((r) => r.by === me && !isWithdrawn(r.id))?.id;
  return {
    character,
    apart: identification?.checks.find((c) => c.character === character)?.apart,
    key: cardKey(character && { character }, readings.length + skips.length + later.length),
    answer: ({ value, sureness, note }) => {
      // Until it is kept the same question stays: a second tap on it is no second answer.
      if (!character || !piece || answering.current === character) return;
      answering.current = character;
      void act(read(record.id, { piece, character, value, sureness, ...(note ? { note } : {}) })).then(
        (kept) => {
          answering.current = undefined;
          if (kept) setChosen(undefined);
        },
      );
    },
    pass: () => {
      if (!character || !piece) return;
      void act(passOver(record.id, piece, character));
      setLater([...later, character]);
      setChosen(undefined);
    },
    later: () => {
      if (character) setLater([...later, character]);
      setChosen(undefined);
    },
    cannotSmell: record.context.cannotSmell
      ? undefined
      : () => void act(changeContext(record.id, { cannotSmell: true })),
    choose: setChosen,
    last,
    back: () => void (last && act(takeBack(record.id, last))),
  };
}
