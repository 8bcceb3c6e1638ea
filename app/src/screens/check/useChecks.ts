import { useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { type Case, type CharacterId, type Check, looksAreDone, type PieceId } from '@pause/core';
import { guide } from '../../deciding/guide';
import { startPiece } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { characterOf } from '../../text/names';
import type { CheckNow } from './CheckParts';
import { useLatest } from './useJudged';

/** What is asked: by the core, by the person, or once more. */
export interface Checks {
  readonly checks: readonly Check[];
  /** The one that is on the screen. */
  readonly check: Check | undefined;
  readonly piece: PieceId;
  /** Another piece that is looked at beside the one that is decided. */
  readonly compare: PieceId | undefined;
  readonly startComparing: () => void;
  readonly stopComparing: () => void;
  readonly choose: (character: CharacterId | undefined) => void;
  /** Whoever looks at it together with the person, where two saw it differently. */
  readonly word: string | undefined;
  readonly isDisputed: (character: CharacterId) => boolean;
}

/**
 * What is asked now: what the person chose, else what the core proposes first; nothing where a look would change
 * nothing.
 */
function currentCheck(
  checks: readonly Check[],
  chosen: CharacterId | undefined,
  find: Case,
  done = false,
): Check | undefined {
  if (chosen === undefined) return done ? undefined : checks[0];
  const proposed = checks.find((check) => check.character === chosen);
  if (proposed) return proposed;
  const character = characterOf(chosen);
  return character && guide.taxon(find.target)
    ? {
        character: chosen,
        why: 'brings-nearer',
        seconds: character.seconds,
        damage: character.damage,
        skin: [],
        gain: 0,
      }
    : undefined;
}

export function useChecks({ record, evaluation, find }: CheckNow): Checks {
  const act = useAct();
  const [compare, setCompare] = useState<PieceId | undefined>();
  const { ask, again, together, word } = useLocalSearchParams<{
    /** The check that somebody came for. */
    ask?: string;
    again?: string;
    together?: string;
    word?: string;
  }>();
  const [chosen, choose] = useState(ask as CharacterId | undefined);
  // What the verdict leans on is asked once more, on a piece beside this one.
  const leaned = useMemo(
    () =>
      again ? record.readings.filter((r) => again.split(',').includes(r.id)).map((r) => r.character) : [],
    [again, record.readings],
  );
  const lookedAgain = new Set<string>(
    record.readings.filter((r) => r.piece === compare).map((r) => r.character),
  );
  const open = leaned.filter((c, i) => leaned.indexOf(c) === i && !lookedAgain.has(c));
  const startComparing = useLatest(() => setCompare(act(startPiece(record.id, 'compare'))));
  const stopComparing = useLatest(() => setCompare(undefined));
  useEffect(() => {
    if (leaned.length > 0 && !compare) startComparing();
    // Once, when the screen is opened for it.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  // What two people saw differently is looked at once more by both, on the piece itself.
  const [before] = useState(record.readings.length);
  const seenTogether = new Set<string>(record.readings.slice(before).map((r) => r.character));
  const disputed = together?.split(',').filter((c) => characterOf(c) && !seenTogether.has(c)) ?? [];
  const lookAgainAt =
    compare && leaned.length > 0 ? open.join() : disputed.length > 0 ? disputed.join() : undefined;
  // The same evaluation proposes the same, so that what hangs on it is not drawn anew.
  const checks = useMemo(
    () =>
      lookAgainAt === undefined
        ? evaluation.checks
        : lookAgainAt.split(',').flatMap((c) => currentCheck([], c as CharacterId, find) ?? []),
    [lookAgainAt, evaluation, find],
  );
  const done = lookAgainAt === undefined && looksAreDone(evaluation.verdict);
  const check = useMemo(() => currentCheck(checks, chosen, find, done), [checks, chosen, find, done]);
  return {
    checks,
    check,
    piece: compare ?? (evaluation.verdict.piece as PieceId),
    compare,
    startComparing,
    stopComparing,
    choose,
    word,
    isDisputed: (character) => disputed.includes(character),
  };
}
