import { useCallback, useEffect, useState } from 'react';
import type { Picture } from '../../store/pictures';
import { useAct, useApp } from '../../store/store';

/** Pictures of a find: those of this device, and those that others made, as soon as they are here. */
export function usePictures(find: string): { readonly pictures: readonly Picture[]; readonly failed: boolean; readonly again: () => void } {
  const act = useAct();
  const [pictures, setPictures] = useState<readonly Picture[]>([]);
  const [failed, setFailed] = useState(false);
  const told = useApp(({ finds }) => (finds[find]?.record?.pictures.length ?? 0) + (finds[find]?.record?.drops.length ?? 0));
  const again = useCallback(() => {
    act(async (dispatch) => dispatch((await import('../../store/outside')).loadPictures(find, setPictures))).then(() => setFailed(false), () => setFailed(true));
  }, [act, find]);
  useEffect(again, [again, told]);
  return { pictures, failed, again };
}
