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
import { t } from '../../../text/en/second';
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
            <Loading what={t.comparingWithTheGuide} />
          </Screen>
        )
      }
    />
  );
}

const HERE = 'here';

interface AskingProps {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}

/** Who is asked, and at what they look. */
function useAsking({ record, evaluation }: AskingProps) {
  const act = useAct();
  const router = useRouter();
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
  const chosen = checks.filter((c) => !left.includes(c));
  const ask = async () => {
    const here = whom === HERE;
    const guest = here && beside === undefined;
    if (guest && name.trim() === '') {
      setWrong(t.nameWhoeverStandsBesideYou);
      return;
    }
    const of = here ? (beside ?? guestId(name)) : whom;
    const piece = evaluation.verdict.piece as PieceId;
    const id = await act(
      askForLook(record.id, { of, ...(guest ? { name: name.trim() } : {}), here, piece, characters: chosen }),
    );
    if (id)
      router.replace({
        pathname: here ? '/find/[id]/second' : '/find/[id]',
        params: here ? { id: record.id, of } : { id: record.id },
      });
  };
  return {
    others,
    checks,
    chosen,
    toggle: (c: CharacterId) => setLeft(left.includes(c) ? left.filter((l) => l !== c) : [...left, c]),
    whom,
    setWhom,
    beside,
    setBeside,
    name,
    setName,
    wrong,
    ask: () => void ask(),
  };
}

const guestId = (name: string) =>
  `guest-${name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .slice(0, 40)}`;

function Asking(props: AskingProps) {
  const router = useRouter();
  const wide = useWide();
  const asking = useAsking(props);
  const { whom, chosen } = asking;
  if (asking.checks.length === 0)
    return (
      <Screen>
        <Notice
          whole
          title={t.nothingToLookAtA}
          text={t.readWhatFillsTheBars}
          action={t.goOnChecking}
          onAction={() => router.replace({ pathname: '/find/[id]/check', params: { id: props.record.id } })}
        />
      </Screen>
    );
  return (
    <Screen>
      <View style={wide ? styles.narrow : styles.all}>
        <Title>{t.aSecondLook}</Title>
        <Body>{t.whoeverYouAskSeesPhotos}</Body>
        <WhoLooks asking={asking} />
        <AtWhat asking={asking} />
        {chosen.length === 0 ? <SmallStrong role="alert">{t.chooseAtLeastOne}</SmallStrong> : null}
        <Button
          label={whom === HERE ? t.handOverThePhone : t.ask}
          disabled={chosen.length === 0}
          onPress={asking.ask}
        />
      </View>
    </Screen>
  );
}

type AskingForm = ReturnType<typeof useAsking>;

function WhoLooks({ asking }: { readonly asking: AskingForm }) {
  const { others, whom, setWhom } = asking;
  return (
    <>
      <Heading>{t.whoLooks}</Heading>
      <ChipRow label={t.whoLooks}>
        {others.map((m) => (
          <Chip key={m.person} label={m.name} chosen={whom === m.person} onPress={() => setWhom(m.person)} />
        ))}
        <Chip label={t.somebodyBesideMe} chosen={whom === HERE} onPress={() => setWhom(HERE)} />
      </ChipRow>
      {whom === HERE ? <BesideMe asking={asking} /> : <Small soft>{t.theyAreAskedTheNext}</Small>}
    </>
  );
}

function BesideMe({
  asking: { others, beside, setBeside, name, setName, wrong },
}: {
  readonly asking: AskingForm;
}) {
  return (
    <>
      {others.length > 0 ? (
        <ChipRow label={t.whoStandsBesideYou}>
          {others.map((m) => (
            <Chip
              key={m.person}
              label={m.name}
              chosen={beside === m.person}
              onPress={() => setBeside(m.person)}
            />
          ))}
          <Chip label={t.somebodyElse} chosen={beside === undefined} onPress={() => setBeside(undefined)} />
        </ChipRow>
      ) : null}
      {beside === undefined ? (
        <Field label={t.name} value={name} onChangeText={setName} maxLength={80} wrong={wrong} />
      ) : null}
      <Small soft>{t.youHandOverThePhone}</Small>
    </>
  );
}

function AtWhat({ asking: { checks, chosen, toggle } }: { readonly asking: AskingForm }) {
  const seconds = chosen.reduce((sum, c) => sum + (characterOf(c)?.seconds ?? 0), 0);
  return (
    <>
      <Heading>{t.atWhat}</Heading>
      <Body soft>{t.whatYourBarsStandOn(upper(timeWords(seconds)))}</Body>
      <ChipRow label={t.atWhat}>
        {checks.map((c) => (
          <Chip
            key={c}
            kind="checkbox"
            label={characterName(c)}
            chosen={chosen.includes(c)}
            onPress={() => toggle(c)}
          />
        ))}
      </ChipRow>
    </>
  );
}

const styles = StyleSheet.create({ all: { gap: space.m }, narrow: { gap: space.m, maxWidth: 720 } });
