import { useLocalSearchParams, useRouter } from 'expo-router';
import type { TaxonId } from '@pause/core';
import { mustBeCooked } from '@pause/core/harvest/preparing';
import { onTheSpotProblem } from '@pause/core/pantry';
import { Screen, Loading, Notice } from '../../components';
import { usePantry, type Pantry, isThere, leftIn, madeOf } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useFind } from '../../notebook/useFind';
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { CommonName } from '../../text/names';
import { METHOD, amountWords } from '../../text/pantry';
import { Portion } from './Portion';
import { isWhat, type Ready } from './portionKinds';

/**
 * What became of something: eaten, used, given or thrown out; of one batch or of several, or of a find where
 * it stood.
 */
export function PortionScreen() {
  const { of, what, find } = useLocalSearchParams<{ of?: string; what?: string; find?: string }>();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  if (!pantry.ready || !recalls.ready)
    return (
      <Screen>
        <Loading what={pantryText.openingTheNotebook} />
      </Screen>
    );
  const held = new Set(recalls.all.map(({ id }) => id));
  if (find !== undefined) return <OnTheSpot find={find} />;
  return (
    <Portion
      key={`${of} ${what}`}
      first={of}
      what={isWhat(what) ? what : 'meal'}
      choices={choicesOf(pantry, held, isWhat(what) && what === 'thrown-out')}
      held={pantry.batches.filter(({ id }) => held.has(id)).length}
    />
  );
}

function choicesOf(pantry: Pantry, held: ReadonlySet<string>, all: boolean): Ready[] {
  return pantry.batches
    .filter(
      (batch) => isThere(pantry, batch) && (all || !held.has(batch.id)) && batch.fields.readyOn !== undefined,
    )
    .map((batch) => {
      const left = leftIn(pantry, batch);
      return {
        source: { of: 'batch', id: batch.id },
        name: batch.fields.name ?? pantryText.aBatch,
        line: [
          batch.fields.method && METHOD[batch.fields.method][1],
          left && pantryText.left(amountWords(left)),
        ]
          .filter(Boolean)
          .join(' · '),
        contents: batch.fields.contents ?? [],
        left,
        ready: batch.fields.method === 'cook',
        group: batch.group,
      };
    });
}

/**
 * Eaten where it stood: there is no second look, so it asks the same as taking it home, and is never for
 * fungi.
 */
function OnTheSpot({ find }: { readonly find: string }) {
  const open = useFind(find);
  const router = useRouter();
  const record = open?.record;
  if (!record || !open.evaluation)
    return (
      <Screen>
        <Loading what={t.openingTheFind} />
      </Screen>
    );
  const toFind = () => router.replace({ pathname: '/find/[id]', params: { id: find } });
  const taxon = record.targets.at(-1)?.taxon ?? '';
  const part = record.context.part ?? '';
  const problem = onTheSpotProblem(record.kingdom, 'meal', [{ of: 'find', id: find }]);
  const made = madeOf({ taxon: taxon as TaxonId, part });
  const ready =
    record.decisions.at(-1)?.choice === 'collect' && open.evaluation.verdict.outcome === 'collect';
  if (problem)
    return (
      <Screen>
        <Notice
          whole
          title={t.notHere}
          text={t.itSays(problem.reason)}
          action={t.toTheFind}
          onAction={toFind}
        />
      </Screen>
    );
  if (!ready || !made)
    return (
      <Screen>
        <Notice whole title={t.notOnThis} text={t.onlyAFindThatWas} action={t.toTheFind} onAction={toFind} />
      </Screen>
    );
  if (mustBeCooked(made))
    return (
      <Screen>
        <Notice whole title={t.notRaw} text={t.itHasToBeCookedFirst} action={t.toTheFind} onAction={toFind} />
      </Screen>
    );
  const choice: Ready = {
    source: { of: 'find', id: find },
    name: CommonName(taxon),
    line: t.whereItStood,
    contents: [{ taxon: made.taxon.id, part }],
    left: undefined,
    ready: false,
    group: record.group,
  };
  return <Portion first={find} what="meal" choices={[choice]} held={0} />;
}
