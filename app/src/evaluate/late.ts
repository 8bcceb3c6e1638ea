import { useEffect, useState } from 'react';

/** A program that is fetched when it is first wanted. */
interface Late<Program> {
  /** Fetches it, once; screens that will need it soon may call this ahead. */
  readonly load: () => Promise<Program>;
  /** The program, as soon as it is there. */
  readonly useIt: () => Program | undefined;
}

export function late<Program extends object>(fetchIt: () => Promise<Program>): Late<Program> {
  let loaded: Program | undefined;
  let loading: Promise<Program> | undefined;
  const load = () => {
    loading ??= fetchIt().then((program) => {
      loaded = program;
      return program;
    });
    // A failed fetch is tried again by whoever asks next.
    loading.catch(() => { loading = undefined; });
    return loading;
  };
  function useIt(): Program | undefined {
    const [program, setProgram] = useState(loaded);
    useEffect(() => {
      if (program) return undefined;
      let gone = false;
      load().then((all) => { if (!gone) setProgram(all); }, () => undefined);
      return () => { gone = true; };
    }, [program]);
    return program;
  }
  return { load, useIt };
}
