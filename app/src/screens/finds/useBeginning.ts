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

interface Named {
  readonly target?: TaxonId;
  /** A name that the guide does not know, as it was typed. */
  readonly typed?: string;
  readonly wanted?: Pick<Context, 'part' | 'use'>;
}

/** Begins a find, with a name or without one, or gives one another name, and leads on to it. */
export function useBeginning({ find, placeNote, group }: BeginningProps) {
  const { place } = useLocalSearchParams<{ place?: string }>();
  const router = useRouter();
  const act = useAct();

  const begin = async (
    { kingdom, id: bodyPlan }: BodyPlan,
    { target, typed, wanted }: Named = {},
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
        ...(typed ? { verbatimIdentification: typed } : {}),
        ...withNote(placeNote.trim() || at?.name),
        ...(at && place ? { placePage: place, answers: at.answers } : {}),
        ...(group ? { group } : {}),
        context: { ...wanted, ...at?.context },
      }),
    );
  };

  return {
    /** @param typed a name that the guide does not know, if one was typed */
    beginUnnamed: (plan: BodyPlan, typed?: string) => {
      void begin(plan, typed ? { typed } : {}).then((id) => {
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
