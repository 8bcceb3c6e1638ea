import { useEffect, useState } from 'react';

/** A program that is fetched when it is first wanted. */
interface Late<Program> {
  /** Fetches it, once; screens that will need it soon may call this ahead. */
  readonly load: () => Promise<Program>;
  /** The program, as soon as it is there; for what goes without as well. */
  readonly useIt: () => Program | undefined;
  /**
   * The same, for a screen that has nothing to show without it.
   *
   * @throws why it could not be fetched, which then takes the screen's place
   */
  readonly useNeeded: () => Program | undefined;
  /** The same, with whether fetching it failed, and a way to try again. */
  readonly useTry: () => Tried<Program>;
}
interface Tried<Program> {
  readonly program: Program | undefined;
  readonly failed: boolean;
  readonly again: () => void;
}

export function late<Program extends object>(fetchIt: () => Promise<Program>): Late<Program> {
  let loaded: Program | undefined;
  let loading: Promise<Program> | undefined;
  let fault: unknown;
  const load = () => {
    loading ??= fetchIt().then((program) => {
      loaded = program;
      return program;
    });
    // A failed fetch is tried again by whoever asks next.
    loading.catch((error: unknown) => {
      fault = error;
      loading = undefined;
    });
    return loading;
  };
  function useTry(): Tried<Program> {
    const [program, setProgram] = useState(loaded);
    const [failed, setFailed] = useState(false);
    useEffect(() => {
      if (program || failed) return undefined;
      let cancelled = false;
      load().then(
        (all) => {
          if (!cancelled) setProgram(all);
        },
        () => {
          if (!cancelled) setFailed(true);
        },
      );
      return () => {
        cancelled = true;
      };
    }, [program, failed]);
    return { program, failed, again: () => setFailed(false) };
  }
  function useNeeded() {
    const { program, failed } = useTry();
    if (failed) throw fault;
    return program;
  }
  return { load, useIt: () => useTry().program, useNeeded, useTry };
}
