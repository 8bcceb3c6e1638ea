import { useLayoutEffect, useRef } from 'react';

interface Keys {
  readonly digit?: (n: number) => void;
  readonly u?: () => void;
  readonly n?: () => void;
  readonly z?: () => void;
  readonly h?: () => void;
  readonly s?: () => void;
  readonly f?: () => void;
  readonly g?: () => void;
  readonly t?: () => void;
  readonly '?'?: () => void;
}

/**
 * Keys on a wide screen: digits answer (0 is the tenth), U cannot tell, N goes on, Z takes back, H shows how; S, F and G say how
 * sure the answer is, T that it is one of several; ? shows the keys. Silent while somebody types.
 */
export function useKeys(keys: Keys, on: boolean): void {
  const latest = useRef(keys);
  // Before it is painted: whoever sees a question may answer it.
  useLayoutEffect(() => {
    latest.current = keys;
  });
  useLayoutEffect(() => {
    if (!on || typeof window === 'undefined') return undefined;
    const press = (event: KeyboardEvent) => {
      const typing = event.target instanceof HTMLInputElement || event.target instanceof HTMLTextAreaElement;
      if (typing || event.ctrlKey || event.metaKey || event.altKey || event.repeat) return;
      const key = event.key.toLowerCase();
      const { digit, ...named } = latest.current;
      const act = /^[0-9]$/.test(key)
        ? digit && (() => digit(Number(key) || 10))
        : named[key as keyof typeof named];
      if (!act) return;
      event.preventDefault();
      act();
    };
    window.addEventListener('keydown', press);
    return () => window.removeEventListener('keydown', press);
  }, [on]);
}
