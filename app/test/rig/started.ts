import type { Evaluator } from '../../src/deciding/client';
import { read, startFind } from '../../src/notebook/actions';
import { loadMe } from '../../src/notebook/open';
import { rig } from '.';

/** A chanterelle to begin with. */
export const START = {
  kingdom: 'Fungi',
  bodyPlan: 'cantharelloid',
  target: 'cantharellus-cibarius',
  context: {},
} as unknown as Parameters<typeof startFind>[0];

/** "Ridges" under the cap: a bar against the deadly webcaps. */
export const ridgesOf = (piece: string) => ({
  piece: piece as never,
  character: 'hymenophore' as never,
  value: { kind: 'states' as const, states: ['ridges' as never] },
  sureness: 'sure' as const,
});

/** Somebody is signed in and has begun a find. */
export async function started(evaluator?: Evaluator) {
  const it = rig(evaluator);
  await it.store.dispatch(loadMe());
  const id = (await it.store.dispatch(startFind(START)))!;
  await it.atRest();
  const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
  const ridges = () => it.store.dispatch(read(id, ridgesOf(piece)));
  return { ...it, id, piece, ridges, find: () => it.store.getState().finds[id]! };
}
