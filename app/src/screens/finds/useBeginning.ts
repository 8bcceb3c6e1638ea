import { useLocalSearchParams, useRouter } from 'expo-router';
import type { BodyPlan, CompiledTaxon, Context, TaxonId } from '@pause/core';
import { changeTarget, startFind } from '../../notebook/actions';
import { useAct } from '../../notebook/store';
import { withNote } from './newFindWords';

interface BeginningProps {
  /** A find that is given another name; else a new one is begun. */
  readonly find: string | undefined;
  readonly placeNote: string;
  /** The group whose notebook it goes into, if any. */
  readonly group: string | undefined;
}

/** Begins a find, with a name or without one, or gives one another name, and leads on to it. */
export function useBeginning({ find, placeNote, group }: BeginningProps) {
  const { place } = useLocalSearchParams<{ place?: string }>();
  const router = useRouter();
  const act = useAct();

  const begin = async (
    { kingdom, id: bodyPlan }: BodyPlan,
    { target, wanted }: { readonly target?: TaxonId; readonly wanted?: Pick<Context, 'part' | 'use'> } = {},
  ): Promise<string | undefined> => {
    // What is known of the place need not be entered again.
    const at = place
      ? await act((await import('../later')).atPlace(place, kingdom, target, wanted?.part))
      : undefined;
    return act(
      startFind({
        kingdom,
        bodyPlan,
        ...(target ? { target } : {}),
        ...withNote(placeNote.trim() || at?.name),
        ...(at && place ? { placePage: place, answers: at.answers } : {}),
        ...(group ? { group } : {}),
        context: { ...wanted, ...at?.context },
      }),
    );
  };

  return {
    beginUnnamed: (plan: BodyPlan) => {
      void begin(plan).then((id) => {
        if (id) router.push({ pathname: '/find/[id]/name', params: { id } });
      });
    },
    choose: ({ id: target, taxon }: CompiledTaxon, plan: BodyPlan | undefined) => {
      if (find) {
        void act(changeTarget(find, target)).then(
          (kept) => kept && router.replace({ pathname: '/find/[id]/check', params: { id: find } }),
        );
        return;
      }
      if (!plan) return;
      const [only, ...more] = taxon.parts;
      const wanted = only && more.length === 0 ? { wanted: { part: only.part, use: only.use } } : {};
      void begin(plan, { target, ...wanted }).then((id) => {
        if (id) router.push({ pathname: '/find/[id]/check', params: { id } });
      });
    },
  };
}
