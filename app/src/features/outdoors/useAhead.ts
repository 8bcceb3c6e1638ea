import { useEffect, useMemo, useState } from 'react';
import { lookAhead } from '../../season/client';
import type { Looked, Question } from '../../season/look';
import { seenPlace, useDay, type Place } from './usePlaces';

export interface AheadState {
  readonly looked?: Looked;
  /** From 0 to 1, while it takes longer. */
  readonly share?: number;
  readonly failed?: string;
}

/** What can be had at these places now and later; asked anew when a place or the day changes. */
export function useAhead(places: readonly Place[]): AheadState & { readonly question: Question } {
  const today = useDay();
  const question = useMemo(() => ({ places: places.map(seenPlace), today }), [places, today]);
  const [state, setState] = useState<AheadState>({});
  useEffect(() => {
    let gone = false;
    const tell = (next: AheadState) => { if (!gone) setState((was) => ({ ...(was.looked ? { looked: was.looked } : {}), ...next })); };
    void lookAhead(question, (share) => tell({ share })).then(
      (looked) => { if (!gone) setState({ looked }); }, (error: unknown) => tell({ failed: error instanceof Error ? error.message : String(error) }),
    );
    return () => { gone = true; };
  }, [question]);
  return { ...state, question };
}
