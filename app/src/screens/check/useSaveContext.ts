import { changeContext, type ContextChange } from '../../notebook/actions';
import { useAct } from '../../notebook/store';

/** Puts answers about a find's place and condition on record. */
export function useSaveContext(find: string): (change: ContextChange) => void {
  const act = useAct();
  return (change) => void act(changeContext(find, change));
}
