import { useCallback, useEffect, useState } from 'react';
import type { Picture } from '../../store/pictures';
import { useAct, useApp } from '../../store/store';

const AGAIN_MS = 5000;

/** Pictures of a find: those of this device, and those that others made, as soon as they are here. */
export function usePictures(find: string): { readonly pictures: readonly Picture[]; readonly failed: boolean; readonly again: () => void } {
  const act = useAct();
  const [pictures, setPictures] = useState<readonly Picture[]>([]);
  const [failed, setFailed] = useState(false);
  const told = useApp(({ finds }) => (finds[find]?.record?.pictures.length ?? 0) + (finds[find]?.record?.drops.length ?? 0));
  const [round, setRound] = useState(0);
  const again = useCallback(() => setRound((n) => n + 1), []);
  useEffect(() => {
    let gone = false;
    let later: ReturnType<typeof setTimeout> | undefined;
    act(async (dispatch) => dispatch((await import('../../store/outside')).loadPictures(find, (all) => { if (!gone) setPictures(all); }))).then((whole) => {
      if (gone) return;
      setFailed(false);
      // One is still on its way from another device.
      if (!whole) later = setTimeout(again, AGAIN_MS);
    }, () => { if (!gone) setFailed(true); });
    return () => {
      gone = true;
      clearTimeout(later);
    };
  }, [act, again, find, round, told]);
  return { pictures, failed, again };
}
