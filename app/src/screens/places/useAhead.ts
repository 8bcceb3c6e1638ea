import { useEffect, useMemo, useState } from 'react';
import { lookAhead } from '../../deciding/season/client';
import type { Looked, Question } from '../../deciding/season/look';
import { seenPlace, useDay, type Place } from '../../notebook/usePlaces';
import { useWeather } from './weather';

export interface AheadState {
  readonly looked?: Looked;
  /** From 0 to 1, while it takes longer. */
  readonly share?: number;
  readonly failed?: string;
}

/** What can be had at these places now and later; asked anew when a place or the day changes. */
export function useAhead(
  places: readonly Place[],
): AheadState & { readonly question: Question; readonly weatherChanged: () => void } {
  const today = useDay();
  const { weather, again } = useWeather();
  const question = useMemo(
    () => ({ places: places.map(seenPlace), today, ...(weather ? { weather } : {}) }),
    [places, today, weather],
  );
  const [state, setState] = useState<AheadState>({});
  useEffect(() => {
    if (weather === undefined) return undefined;
    let cancelled = false;
    const show = (next: AheadState) => {
      if (!cancelled) setState((was) => ({ ...(was.looked ? { looked: was.looked } : {}), ...next }));
    };
    void lookAhead(question, (share) => show({ share })).then(
      (looked) => {
        if (!cancelled) setState({ looked });
      },
      (error: unknown) => show({ failed: error instanceof Error ? error.message : String(error) }),
    );
    return () => {
      cancelled = true;
    };
  }, [question, weather]);
  return { ...state, question, weatherChanged: again };
}
