import { useCallback, useEffect, useState } from 'react';
import { picturesOf, type Picture } from '../../store/pictures';

/** Pictures of a find, as kept on this device. */
export function usePictures(find: string): { readonly pictures: readonly Picture[]; readonly failed: boolean; readonly again: () => void } {
  const [pictures, setPictures] = useState<readonly Picture[]>([]);
  const [failed, setFailed] = useState(false);
  const again = useCallback(() => {
    picturesOf(find).then((all) => { setPictures(all); setFailed(false); }, () => setFailed(true));
  }, [find]);
  useEffect(again, [again]);
  return { pictures, failed, again };
}
