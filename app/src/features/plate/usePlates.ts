import { useEffect, useState } from 'react';

type Plates = typeof import('@pause/core/plate');
let loaded: Plates | undefined;
let loading: Promise<Plates> | undefined;

/** Fetches what draws, once; screens that will need it soon may call this ahead. */
export function loadPlates(): Promise<Plates> {
  loading ??= import('@pause/core/plate').then((plates) => {
    loaded = plates;
    return plates;
  });
  // A failed fetch is tried again by whoever asks next.
  loading.catch(() => { loading = undefined; });
  return loading;
}

/** What draws plates, as soon as it is there: the first screen does without. */
export function usePlates(): Plates | undefined {
  const [plates, setPlates] = useState(loaded);
  useEffect(() => {
    if (plates) return undefined;
    let gone = false;
    loadPlates().then((all) => { if (!gone) setPlates(all); }, () => undefined);
    return () => { gone = true; };
  }, [plates]);
  return plates;
}
