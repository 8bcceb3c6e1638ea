import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View, Pressable, StyleSheet } from 'react-native';
import { type Method, refusalOf, METHODS } from '@pause/core/harvest/preparing';
import { isoOf } from '@pause/core/lib/day';
import {
  Screen,
  Loading,
  useWide,
  Notice,
  Heading,
  Field,
  Small,
  Button,
  Title,
  Body,
  Rule,
  Strong,
  space,
  TARGET,
  colour,
  stroke,
  Grow,
  Stack,
} from '../../components';
import { usePantry, begin } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useAct } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { upper } from '../../text/names';
import { contentWords, METHOD, refusalWords } from '../../text/pantry';
import { madesOf } from './batch';
import { choicesOf, unique } from './choicesOf';
import { type Choice, type Chosen, useChosen, Choose } from './Choose';

/** Makes something of what was gathered, or of what was made before. */
export function NewBatchScreen() {
  const { from } = useLocalSearchParams<{ from?: string }>();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  if (!pantry.ready || !recalls.ready)
    return (
      <Screen>
        <Loading what={pantryText.openingTheNotebook} />
      </Screen>
    );
  return (
    <New
      key={from ?? ''}
      first={from}
      choices={choicesOf(pantry, new Set(recalls.all.map(({ id }) => id)))}
    />
  );
}

interface NewProps {
  readonly first: string | undefined;
  readonly choices: readonly Choice[];
}

function New({ first, choices }: NewProps) {
  const router = useRouter();
  const wide = useWide();
  const chosen = useChosen(choices, first);
  const made =
    chosen.picked.length > 0 ? (
      <View style={[styles.block, wide && styles.grow]}>
        <WhatIsMade chosen={chosen} />
      </View>
    ) : null;
  const columns = (
    <>
      <View style={[styles.block, wide && styles.grow]}>
        {choices.length === 0 ? (
          <Notice
            title={t.nothingWasBroughtHomeYet}
            text={t.aFindThatWasCollected}
            action={pantryText.finds}
            onAction={() => router.push('/finds')}
          />
        ) : null}
        <Choose choices={choices} chosen={chosen} asks={t.howMuchOfItGoes} whole={() => t.allOfIt} />
      </View>
      {made ?? (wide ? <Grow /> : null)}
    </>
  );
  return (
    <Screen>
      <Title>{pantryText.makeSomething}</Title>
      {wide ? <View style={styles.columns}>{columns}</View> : columns}
    </Screen>
  );
}

/** The method, the name, and beginning it. */
function WhatIsMade({ chosen }: { readonly chosen: Chosen<Choice> }) {
  const act = useAct();
  const router = useRouter();
  const today = isoOf(useDay());
  const { picked, amounts, group } = chosen;
  const [method, setMethod] = useState<Method>();
  const [name, setName] = useState('');
  const contents = unique(picked.flatMap((one) => [...one.contents]));
  const usual = method ? `${upper(contentWords(contents))}, ${METHOD[method][1]}` : '';
  const make = () => {
    if (!method) return;
    void act(
      begin(
        'batch',
        {
          name: name.trim() === '' ? usual : name.trim(),
          from: amounts.map(({ source }) => source),
          contents,
          method,
          on: today,
        },
        group,
      ),
    ).then((id) => {
      if (id !== undefined) router.replace({ pathname: '/batch/[id]', params: { id } });
    });
  };
  return (
    <>
      <Heading>{t.whatIsMadeOfIt}</Heading>
      <Methods mades={madesOf(contents)} method={method} onChoose={setMethod} />
      {method ? (
        <Field
          label={t.whatItIsCalled}
          value={name}
          onChangeText={setName}
          placeholder={usual}
          maxLength={120}
        />
      ) : null}
      {group === undefined && picked.some((one) => one.group !== undefined) ? (
        <Small>{t.someOfItIsIn}</Small>
      ) : null}
      <Button label={t.begin} disabled={!method || !chosen.right} onPress={make} />
    </>
  );
}

/** What may be made of all of it; and what must not, and why. */
function Methods({
  mades,
  method,
  onChoose,
}: {
  readonly mades: ReturnType<typeof madesOf>;
  readonly method: Method | undefined;
  readonly onChoose: (method: Method) => void;
}) {
  const [all, setAll] = useState(false);
  const refused = (one: Method) => mades.flatMap((made) => refusalOf(made, one) ?? [])[0];
  const may = METHODS.filter((one) => mades.length > 0 && refused(one) === undefined);
  // First what somebody might well think of: what is refused for what it does, and not only as unheard of.
  const not = METHODS.filter((one) => !may.includes(one))
    .map((one) => ({ one, refusal: refused(one) }))
    .sort((a, b) => Number(a.refusal?.code === 'not-for-use') - Number(b.refusal?.code === 'not-for-use'));
  if (mades.length === 0) return <Body>{t.theGuideInForceDoes}</Body>;
  return (
    <>
      <View role="radiogroup" aria-label={t.whatIsMadeOfIt}>
        <Rule strong />
        {may.map((one) => (
          <View key={one}>
            <Pressable
              role="radio"
              aria-checked={method === one}
              onPress={() => onChoose(one)}
              style={[styles.choice, method === one && styles.picked]}
            >
              <View style={[styles.mark, styles.round, method === one && styles.marked]} />
              <Strong style={styles.grow}>{METHOD[one][0]}</Strong>
            </Pressable>
            <Rule />
          </View>
        ))}
      </View>
      <Button
        label={all ? t.less : t.whatMustNotBeMade}
        tone="plain"
        style={styles.start}
        aria-expanded={all}
        onPress={() => setAll(!all)}
      />
      {all ? (
        <Stack gap="s" role="list" aria-label={t.whatMustNotBeMade}>
          {not.map(({ one, refusal }) => (
            <View key={one} role="listitem">
              <Strong>{t.no(METHOD[one][0])}</Strong>
              <Body>{refusal ? refusalWords(refusal) : ''}</Body>
            </View>
          ))}
        </Stack>
      ) : null}
    </>
  );
}

const MARK = 24;

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  block: { gap: space.s },
  grow: { flex: 1 },
  choice: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 4,
    paddingVertical: space.s,
  },
  picked: { backgroundColor: colour.card },
  mark: {
    width: MARK,
    height: MARK,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: 3,
    backgroundColor: colour.card,
  },
  round: { borderRadius: MARK / 2 },
  marked: { backgroundColor: colour.ink },
  start: { alignSelf: 'flex-start' },
});
