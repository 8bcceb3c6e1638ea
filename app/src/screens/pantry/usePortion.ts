import { useRouter } from 'expo-router';
import { useState } from 'react';
import { cautionsFor } from '@pause/core';
import { cookingRefusal, mustBeCooked } from '@pause/core/harvest/preparing';
import type { BatchFields } from '@pause/core/pantry';
import { mealReminders } from '@pause/core/pantry/tasting';
import { now } from '../../notebook/add';
import { begin, hadBefore, madeOf, usePantry } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useEaters } from '../../notebook/usePlaces';
import { t } from '../../text/en/eating';
import { useChosen } from './Choose';
import { namesOf, type Ready, type What } from './portionKinds';

/** What somebody writes down of a meal, an outward use, a gift or what was thrown out. */
function usePortionFields(asked: What) {
  const [what, setWhat] = useState<What>(asked);
  const [who, setWho] = useState<readonly string[]>([]);
  const [dish, setDish] = useState('');
  const [toWhom, setToWhom] = useState('');
  const [cooked, setCooked] = useState<BatchFields['cooked']>();
  const eating = what === 'meal' || what === 'outward';
  return { what, setWhat, who, setWho, dish, setDish, toWhom, setToWhom, cooked, setCooked, eating };
}

/** A portion on the way: its fields, what is to be minded, what is missing, and putting it on record. */
export function usePortion(asked: What, choices: readonly Ready[], first: string | undefined) {
  const act = useAct();
  const router = useRouter();
  const fields = usePortionFields(asked);
  const { what, who, dish, toWhom, cooked, eating } = fields;
  const chosen = useChosen(choices, first);
  const { picked, amounts, group } = chosen;
  const madesIn = (some: readonly Ready[]) =>
    some.flatMap(({ contents }) => contents.flatMap((one) => madeOf(one) ?? []));
  const mades = madesIn(picked);
  const uncooked = madesIn(picked.filter(({ ready }) => !ready));
  const minded = useMinded(fields, mades);
  const refused =
    what === 'meal' && cooked ? uncooked.flatMap((made) => cookingRefusal(made, cooked) ?? []) : [];
  const outwardOnly =
    what === 'meal' && mades.some(({ part }) => part.route !== undefined && part.route !== 'eaten');
  const missing = [
    picked.length === 0 && t.ofWhatLower,
    picked.length > 0 && !chosen.right && t.howMuchAsItCan,
    eating && who.length === 0 && t.byWhom,
    what === 'gift' && toWhom.trim() === '' && t.whoHasItNow,
    what === 'meal' && uncooked.some(mustBeCooked) && (!cooked || refused.length > 0) && t.howItWasCookedAs,
    outwardOnly && t.nothingThatIsForThe,
    minded.rulesOut && t.nobodyWhomItIsNot,
  ].filter((one) => one !== false);
  const save = () => {
    void act(
      begin(
        'portion',
        {
          what,
          at: act(now()),
          of: amounts.map(({ source }) => source),
          ...(eating ? { who: [...who] } : {}),
          ...(dish.trim() === '' || what !== 'meal' ? {} : { dish: dish.trim() }),
          ...(what === 'gift' ? { toWhom: toWhom.trim() } : {}),
          ...(what === 'meal' && cooked ? { cooked } : {}),
        },
        group,
      ),
    ).then((id) => {
      if (id !== undefined) router.replace({ pathname: '/portion/[id]', params: { id } });
    });
  };
  return { ...fields, ...minded, chosen, uncooked, missing, save };
}
export type PortionForm = ReturnType<typeof usePortion>;

/** Who could eat, what each of those who do has to mind, and what is to be remembered at a meal. */
function useMinded(
  { what, who, eating }: ReturnType<typeof usePortionFields>,
  mades: readonly NonNullable<ReturnType<typeof madeOf>>[],
) {
  const pantry = usePantry();
  const eaters = useEaters();
  const me = useApp((state) => state.me.person?.name ?? '');
  const minds = (name: string) => eaters.find(({ fields }) => fields.name === name)?.fields.cautions ?? [];
  const use = what === 'outward' ? 'skin' : 'eaten';
  const warnings = (eating ? who : []).flatMap((name) =>
    mades.flatMap(({ taxon }) =>
      cautionsFor({ cautions: minds(name) }, taxon, use).map((caution) => ({
        name,
        caution,
        taxon: taxon.id,
      })),
    ),
  );
  const reminders =
    what === 'meal'
      ? mealReminders({
          who,
          minds,
          taxa: mades.map(({ taxon }) => taxon.id),
          hadBefore: (name) => hadBefore(pantry, name),
        })
      : [];
  return {
    names: namesOf(
      me,
      eaters.flatMap(({ fields }) => fields.name ?? []),
    ),
    warnings,
    reminders,
    rulesOut: warnings.some(({ caution }) => caution.level === 'rules-out'),
  };
}
