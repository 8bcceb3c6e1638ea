import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { mayBeBlind, type CharacterId, type FindRecord, type PieceId } from '@pause/core';
import { checksForSecondLook } from '@pause/core/notebook/second-look';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  Title,
  useWide,
  Field,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import type { Evaluation } from '../../../deciding/evaluate';
import { guide } from '../../../deciding/guide';
import { useAct, useApp } from '../../../notebook/store';
import { useCase } from '../../../notebook/useCase';
import { characterName, characterOf, timeWords, upper } from '../../../text/names';
import { askForLook } from './actions';

/** Asks for other eyes: who, and at what they should look without knowing the answers. */
export function AskScreen() {
  return (
    <FindFrame
      render={({ record, evaluation }) =>
        evaluation ? (
          <Asking record={record} evaluation={evaluation} />
        ) : (
          <Screen>
            <Loading what="Comparing with the guide …" />
          </Screen>
        )
      }
    />
  );
}

const HERE = 'here';

function Asking({ record, evaluation }: { readonly record: FindRecord; readonly evaluation: Evaluation }) {
  const act = useAct();
  const router = useRouter();
  const wide = useWide();
  const find = useCase(record);
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  // Whoever began it, or knows the answers, could not look blind.
  const others = (group?.members ?? []).filter(
    (m) => m.person !== person?.id && mayBeBlind(record, m.person),
  );
  const checks = useMemo(
    () => (find ? checksForSecondLook(guide, find, evaluation.verdict) : []),
    [find, evaluation.verdict],
  );
  const [left, setLeft] = useState<readonly CharacterId[]>([]);
  const [whom, setWhom] = useState<string>(others[0]?.person ?? HERE);
  const [beside, setBeside] = useState<string | undefined>();
  const [name, setName] = useState('');
  const [wrong, setWrong] = useState<string | undefined>();
  const piece = evaluation.verdict.piece as PieceId;
  const chosen = checks.filter((c) => !left.includes(c));
  const seconds = chosen.reduce((sum, c) => sum + (characterOf(c)?.seconds ?? 0), 0);
  if (checks.length === 0) {
    return (
      <Screen>
        <Notice
          whole
          title="Nothing to look at a second time yet"
          text="Read what fills the bars first; then somebody else can read the same without knowing it."
          action="Go on checking"
          onAction={() => router.replace({ pathname: '/find/[id]/check', params: { id: record.id } })}
        />
      </Screen>
    );
  }
  const ask = async () => {
    const here = whom === HERE;
    const guest = here && beside === undefined;
    if (guest && name.trim() === '') {
      setWrong('Name: whoever stands beside you');
      return;
    }
    const of = !here
      ? whom
      : (beside ??
        `guest-${name
          .trim()
          .toLowerCase()
          .replace(/[^a-z0-9]+/g, '-')
          .slice(0, 40)}`);
    const id = await act(
      askForLook(record.id, { of, ...(guest ? { name: name.trim() } : {}), here, piece, characters: chosen }),
    );
    if (id)
      router.replace({
        pathname: here ? '/find/[id]/second' : '/find/[id]',
        params: here ? { id: record.id, of } : { id: record.id },
      });
  };
  return (
    <Screen>
      <View style={wide ? styles.narrow : styles.all}>
        <Title>A second look</Title>
        <Body>
          Whoever you ask sees photos, sketches and the plant, but neither the name nor what you read. Only
          afterwards both lie side by side.
        </Body>
        <Heading>Who looks?</Heading>
        <ChipRow label="Who looks?">
          {others.map((m) => (
            <Chip
              key={m.person}
              label={m.name}
              chosen={whom === m.person}
              onPress={() => setWhom(m.person)}
            />
          ))}
          <Chip label="Somebody beside me" chosen={whom === HERE} onPress={() => setWhom(HERE)} />
        </ChipRow>
        {whom === HERE ? (
          <>
            {others.length > 0 ? (
              <ChipRow label="Who stands beside you?">
                {others.map((m) => (
                  <Chip
                    key={m.person}
                    label={m.name}
                    chosen={beside === m.person}
                    onPress={() => setBeside(m.person)}
                  />
                ))}
                <Chip
                  label="Somebody else"
                  chosen={beside === undefined}
                  onPress={() => setBeside(undefined)}
                />
              </ChipRow>
            ) : null}
            {beside === undefined ? (
              <Field label="Name" value={name} onChangeText={setName} maxLength={80} wrong={wrong} />
            ) : null}
            <Small soft>You hand over the phone; the screen shows nothing of what you read.</Small>
          </>
        ) : (
          <Small soft>They are asked the next time their phone has a connection.</Small>
        )}
        <Heading>At what?</Heading>
        <Body soft>What your bars stand on, and its own marks. {upper(timeWords(seconds))} in all.</Body>
        <ChipRow label="At what?">
          {checks.map((c) => (
            <Chip
              key={c}
              kind="checkbox"
              label={characterName(c)}
              chosen={!left.includes(c)}
              onPress={() => setLeft(left.includes(c) ? left.filter((l) => l !== c) : [...left, c])}
            />
          ))}
        </ChipRow>
        {chosen.length === 0 ? <SmallStrong role="alert">Choose at least one.</SmallStrong> : null}
        <Button
          label={whom === HERE ? 'Hand over the phone' : 'Ask'}
          disabled={chosen.length === 0}
          onPress={() => void ask()}
        />
      </View>
    </Screen>
  );
}

const styles = StyleSheet.create({ all: { gap: space.m }, narrow: { gap: space.m, maxWidth: 720 } });
