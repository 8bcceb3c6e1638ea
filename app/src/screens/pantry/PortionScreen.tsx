import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { cautionsFor, type TaxonId } from '@pause/core';
import { cookingRefusal, mustBeCooked } from '@pause/core/harvest/preparing';
import { onTheSpotProblem, type BatchFields, type PortionFields } from '@pause/core/pantry';
import { mealReminders } from '@pause/core/pantry/tasting';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  Field,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Strong,
  Title,
  useWide,
} from '../../components';
import { now } from '../../notebook/actions';
import { begin, hadBefore, isThere, leftIn, madeOf, usePantry, type Pantry } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct, useApp } from '../../notebook/store';
import { useFind } from '../../notebook/useFind';
import { useEaters } from '../../notebook/usePlaces';
import { cautionFor, CommonName, lowerFirst } from '../../text/names';
import { amountWords, mealReminderWords, METHOD } from '../../text/pantry';
import { Choose, useChosen, type Choice } from './Choose';
import { Cooked } from './Sums';

type What = PortionFields['what'];
const WHAT: Readonly<Record<What, readonly [title: string, button: string]>> = {
  meal: ['A meal', 'It was eaten'],
  outward: ['Used outwardly', 'It was used'],
  gift: ['Given away', 'It was given'],
  'thrown-out': ['Thrown out', 'It is thrown out'],
};
const isWhat = (text: string | undefined): text is What => text !== undefined && text in WHAT;

interface Ready extends Choice {
  /** Nothing more has to be done to it. */
  readonly ready: boolean;
}

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
        <Loading what="Opening the notebook …" />
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
        name: batch.fields.name ?? 'A batch',
        line: [batch.fields.method && METHOD[batch.fields.method][1], left && `${amountWords(left)} left`]
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
        <Loading what="Opening the find …" />
      </Screen>
    );
  const toFind = () => router.replace({ pathname: '/find/[id]', params: { id: find } });
  const taxon = record.targets.at(-1)?.taxon ?? '';
  const part = record.context.part ?? '';
  const problem = onTheSpotProblem(record.kingdom, 'meal', [{ of: 'find', id: find }]);
  const made = madeOf({ taxon: taxon as TaxonId, part });
  const stands =
    record.decisions.at(-1)?.choice === 'collect' && open.evaluation.verdict.outcome === 'collect';
  if (problem)
    return (
      <Screen>
        <Notice
          whole
          title="Not here"
          text={`It says: ${problem.reason}.`}
          action="To the find"
          onAction={toFind}
        />
      </Screen>
    );
  if (!stands || !made)
    return (
      <Screen>
        <Notice
          whole
          title="Not on this"
          text="Only a find that was decided and still holds can be recorded as eaten on the spot."
          action="To the find"
          onAction={toFind}
        />
      </Screen>
    );
  if (mustBeCooked(made))
    return (
      <Screen>
        <Notice
          whole
          title="Not raw"
          text="It has to be cooked first: take it home."
          action="To the find"
          onAction={toFind}
        />
      </Screen>
    );
  const choice: Ready = {
    source: { of: 'find', id: find },
    name: CommonName(taxon),
    line: 'where it stood',
    contents: [{ taxon: made.taxon.id, part }],
    left: undefined,
    ready: false,
    group: record.group,
  };
  return <Portion first={find} what="meal" choices={[choice]} held={0} />;
}

function Portion({
  first,
  what: asked,
  choices,
  held,
}: {
  readonly first: string | undefined;
  readonly what: What;
  readonly choices: readonly Ready[];
  readonly held: number;
}) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const pantry = usePantry();
  const eaters = useEaters();
  const me = useApp((state) => state.me.person?.name ?? '');
  const [what, setWhat] = useState<What>(asked);
  const chosen = useChosen(choices, first);
  const { picked, amounts, group } = chosen;
  const [who, setWho] = useState<readonly string[]>([]);
  const [other, setOther] = useState('');
  const [dish, setDish] = useState('');
  const [toWhom, setToWhom] = useState('');
  const [cooked, setCooked] = useState<BatchFields['cooked']>();
  const mades = picked.flatMap(({ contents }) => contents.flatMap((one) => madeOf(one) ?? []));
  const uncooked = picked
    .filter(({ ready }) => !ready)
    .flatMap(({ contents }) => contents.flatMap((one) => madeOf(one) ?? []));
  const names = namesOf(
    me,
    eaters.flatMap(({ fields }) => fields.name ?? []),
  );
  const eating = what === 'meal' || what === 'outward';
  const eaterOf = (name: string) => eaters.find(({ fields }) => fields.name === name);
  const warnings = eating
    ? who.flatMap((name) => {
        const eater = eaterOf(name);
        return eater
          ? mades.flatMap((made) =>
              cautionsFor(
                { cautions: eater.fields.cautions ?? [] },
                made.taxon,
                what === 'outward' ? 'skin' : 'eaten',
              ).map((caution) => ({ name, caution, taxon: made.taxon.id })),
            )
          : [];
      })
    : [];
  const minds = (name: string) => eaterOf(name)?.fields.cautions ?? [];
  const reminders =
    what === 'meal'
      ? mealReminders({
          who,
          minds,
          taxa: mades.map(({ taxon }) => taxon.id),
          hadBefore: (name) => hadBefore(pantry, name),
        })
      : [];
  const rulesOut = warnings.filter(({ caution }) => caution.level === 'rules-out');
  const refused =
    what === 'meal' && cooked ? uncooked.flatMap((made) => cookingRefusal(made, cooked) ?? []) : [];
  const outwardOnly =
    what === 'meal' && mades.some(({ part }) => part.route !== undefined && part.route !== 'eaten');
  const why = [
    picked.length === 0 && 'of what',
    picked.length > 0 && !chosen.right && 'how much, as it can be',
    eating && who.length === 0 && 'by whom',
    what === 'gift' && toWhom.trim() === '' && 'who has it now',
    what === 'meal' &&
      uncooked.some(mustBeCooked) &&
      (!cooked || refused.length > 0) &&
      'how it was cooked, as it has to be',
    outwardOnly && 'nothing that is for the skin only',
    rulesOut.length > 0 && 'nobody whom it is not for',
  ].filter((one) => one !== false);
  const put = () => {
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
  const toggle = (name: string) =>
    setWho(who.includes(name) ? who.filter((one) => one !== name) : [...who, name]);
  const left = (
    <View style={[styles.block, wide && styles.grow]}>
      <ChipRow label="What became of it">
        {(['meal', 'outward', 'gift', 'thrown-out'] as const).map((one) => (
          <Chip key={one} label={WHAT[one][0]} chosen={what === one} onPress={() => setWhat(one)} />
        ))}
      </ChipRow>
      {choices.length === 0 ? (
        <Notice
          title="Nothing is ready"
          text="Only what is ready and still holds can be recorded."
          action="Pantry"
          onAction={() => router.push('/pantry')}
        />
      ) : null}
      <Choose
        choices={choices}
        chosen={chosen}
        asks="How much of it"
        whole={(known) => (known ? 'All that is left' : 'Some, not weighed')}
      />
      {held > 0 && what !== 'thrown-out' ? (
        <SmallStrong>
          {held === 1 ? 'One batch is' : `${held} batches are`} in question, and left out here.
        </SmallStrong>
      ) : null}
    </View>
  );
  const right = (
    <View style={[styles.block, wide && styles.grow]}>
      {eating ? (
        <>
          <Heading>{what === 'meal' ? 'Who ate' : 'On whom'}</Heading>
          <ChipRow label={what === 'meal' ? 'Who ate' : 'On whom'}>
            {[...new Set([...names, ...who])].map((name) => (
              <Chip
                key={name}
                kind="checkbox"
                label={name}
                chosen={who.includes(name)}
                onPress={() => toggle(name)}
              />
            ))}
          </ChipRow>
          <View style={styles.row}>
            <View style={styles.grow}>
              <Field label="Somebody else" value={other} onChangeText={setOther} maxLength={80} />
            </View>
            <Button
              label="Add"
              tone="outline"
              disabled={other.trim() === ''}
              style={styles.low}
              onPress={() => {
                setWho([...new Set([...who, other.trim()])]);
                setOther('');
              }}
            />
          </View>
          {warnings.map(({ name, caution, taxon }) => (
            <View key={`${name} ${taxon} ${caution.for}`} style={styles.warning} role="alert">
              <Strong>
                {name}: {caution.level === 'rules-out' ? 'not for them' : 'ask a pharmacist or doctor first'}
              </Strong>
              <Body>
                {cautionFor(caution.for)}: {lowerFirst(caution.text)}
              </Body>
            </View>
          ))}
          {reminders.length > 0 ? (
            <View role="list" aria-label="To be minded at the meal" style={styles.block}>
              {reminders.map((one) => (
                <View key={`${one.name} ${one.code}`} role="listitem" style={styles.reminder}>
                  <Body>{mealReminderWords(one)}</Body>
                </View>
              ))}
            </View>
          ) : null}
        </>
      ) : null}
      {what === 'meal' ? (
        <Field label="What the dish was" value={dish} onChangeText={setDish} maxLength={120} />
      ) : null}
      {what === 'meal' && uncooked.length > 0 ? (
        <Cooked cooked={cooked} made={uncooked} onTell={setCooked} />
      ) : null}
      {what === 'gift' ? (
        <Field
          label="Who has it now"
          value={toWhom}
          onChangeText={setToWhom}
          maxLength={80}
          hint="So that you can warn them if something is wrong with it."
        />
      ) : null}
      {why.length > 0 && picked.length > 0 ? <Small>Still to be told: {why.join(', ')}.</Small> : null}
      <Button label={WHAT[what][1]} disabled={why.length > 0} onPress={put} />
    </View>
  );
  return (
    <Screen>
      <Title>{WHAT[what][0]}</Title>
      {wide ? (
        <View style={styles.columns}>
          {left}
          {right}
        </View>
      ) : (
        <>
          {left}
          {right}
        </>
      )}
    </Screen>
  );
}

/** Who may have eaten: oneself and those who eat along; oneself only once, by whichever name. */
export function namesOf(me: string, eaters: readonly string[]): string[] {
  const [first = me] = me.split(' ');
  return [...new Set([...(me === '' || eaters.includes(first) ? [] : [me]), ...eaters])];
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  block: { gap: space.s },
  grow: { flex: 1 },
  row: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  low: { marginTop: 24 },
  reminder: { paddingLeft: space.m, borderLeftWidth: stroke.medium, borderLeftColor: colour.ink },
  warning: {
    gap: space.xs,
    paddingLeft: space.m,
    borderLeftWidth: stroke.thick * 2,
    borderLeftColor: colour.ink,
  },
});
