import { useApp } from '../notebook/store';
import { latePart } from './latePart';

const OutboxWords = latePart(
  () => import('./OutboxWords').then((m) => m.OutboxWords),
  () => null,
);
/** What says that there is no connection is here before it is lost. */
export const fetchWords = OutboxWords.fetchAhead;

/**
 * Says when something is not yet on record at the server, or was refused, and why. Silent while all is well.
 */
export function OutboxLine() {
  const wanted = useApp(
    ({ me, outbox: { waiting, refused, away, notKept, notTaken, clockOff, newerVersion, fetching } }) =>
      notKept !== undefined ||
      refused.length > 0 ||
      me.signedOut === true ||
      (away && waiting.length > 0) ||
      notTaken !== undefined ||
      newerVersion === true ||
      (clockOff ?? 0) !== 0 ||
      fetching !== undefined,
  );
  return wanted ? <OutboxWords /> : null;
}
