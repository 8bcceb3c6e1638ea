import { useCallback, useEffect, useState } from 'react';
import type { Picture } from '../../notebook/pictures';
import { useAct, useApp } from '../../notebook/store';

const NONE: readonly Picture[] = [];

/** Pictures of a find: those of this device, and those that others made, as soon as they are here. */
export function usePictures(find: string): {
  readonly pictures: readonly Picture[];
  readonly failed: boolean;
  readonly again: () => void;
} {
  const act = useAct();
  const [pictures, setPictures] = useState<readonly Picture[] | undefined>(NONE);
  const ownPictures = useApp(
    ({ finds }) => (finds[find]?.record?.pictures.length ?? 0) + (finds[find]?.record?.drops.length ?? 0),
  );
  const [round, setRound] = useState(0);
  useEffect(() => {
    const following = import('../../notebook/outside').then((outside) =>
      act(outside.followPictures(find, setPictures)),
    );
    following.catch(() => setPictures(undefined));
    return () =>
      void following.then(
        (end) => end(),
        () => undefined,
      );
  }, [act, find, round, ownPictures]);
  return {
    pictures: pictures ?? NONE,
    failed: !pictures,
    again: useCallback(() => setRound((n) => n + 1), []),
  };
}
