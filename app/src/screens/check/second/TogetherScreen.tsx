import { useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View } from 'react-native';
import { statesRead, isDrawn } from '@pause/core';
import { type FindRecord, blindAsk, type Reading } from '@pause/core';
import { type Agreement, sideBySide, type BothLooks } from '@pause/core/notebook/second-look';
import {
  Screen,
  Notice,
  Small,
  Title,
  ChipRow,
  Chip,
  Body,
  Rule,
  Button,
  OrganGlyph,
  colour,
  Strong,
  SmallStrong,
} from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import { AnswerDrawing } from '../../../components/plates/AnswerDrawing';
import { guide } from '../../../deciding/guide';
import { useApp } from '../../../notebook/store';
import { t } from '../../../text/en/second';
import { characterName, characterOf, readingWords } from '../../../text/names';
import { readerName } from '../../../text/people';
import { OverTime } from './OverTime';
import { styles } from './togetherStyles';

/** Both looks side by side: where the two agree, and what they should look at together. */
export function TogetherScreen() {
  return <FindFrame render={({ record }) => <Together record={record} />} />;
}

const SAYS: Readonly<Record<Agreement, string>> = {
  agree: t.theSame,
  partly: t.partlyTheSame,
  differ: t.notTheSame,
  'no-ground': t.oneCouldNotTell,
};

const FIRST: Readonly<Record<Agreement, number>> = { differ: 0, partly: 1, 'no-ground': 2, agree: 3 };

function Together({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  const looked = [...new Set(record.readings.filter((r) => r.blind === true).map((r) => r.by))];
  const [who, setWho] = useState<string | undefined>(looked[0]);
  const both = useMemo(() => (who === undefined ? [] : sideBySide(guide, record, who)), [record, who]);
  if (who === undefined) return <NoSecondLook record={record} />;
  const [first, second] = [readerName(record, group, record.person), readerName(record, group, who)];
  const mine = person?.id === record.person;
  return (
    <Screen>
      <View>
        <Small soft>{t.blind(first, second)}</Small>
        <Title>{t.bothLooks}</Title>
      </View>
      {looked.length > 1 ? (
        <ChipRow label={t.whoseSecondLook}>
          {looked.map((by) => (
            <Chip
              key={by}
              label={readerName(record, group, by)}
              chosen={by === who}
              onPress={() => setWho(by)}
            />
          ))}
        </ChipRow>
      ) : null}
      <Agreed
        record={record}
        both={both}
        other={mine ? who : record.person}
        otherName={mine ? second : first}
      />
      <View role="list" aria-label={t.bothLooks}>
        <Rule strong />
        {[...both]
          .sort((a, b) => FIRST[a.says] - FIRST[b.says])
          .map((one) => (
            <Pair key={one.second.id} both={one} first={first} second={second} />
          ))}
      </View>
      <OverTime one={record.person} other={who} first={first} second={second} />
      <Button
        label={t.askSomebodyElseToo}
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/find/[id]/ask', params: { id: record.id } })}
      />
    </Screen>
  );
}

function NoSecondLook({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const asked = record.asks.some((ask) => blindAsk(record, ask.of));
  return (
    <Screen>
      <Notice
        whole
        title={asked ? t.theSecondLookIsNot : t.nobodyHasLookedAtIt}
        text={asked ? t.itWillLieHereBeside : t.theBestSecondLookComes}
        action={t.askForOne}
        onAction={() => router.replace({ pathname: '/find/[id]/ask', params: { id: record.id } })}
      />
    </Screen>
  );
}

interface AgreedProps {
  readonly record: FindRecord;
  readonly both: ReturnType<typeof sideBySide>;
  readonly other: string;
  readonly otherName: string;
}

/** How much both saw the same; what they did not can be looked at together. */
function Agreed({ record, both, other, otherName }: AgreedProps) {
  const router = useRouter();
  const count = (says: Agreement) => both.filter((one) => one.says === says).length;
  const differing = both.filter((one) => one.says === 'differ' || one.says === 'partly');
  return (
    <>
      <Body>
        {count('agree') === both.length
          ? t.allWereSeenTheSame(both.length)
          : t.someWereSeenTheSame(count('agree'), both.length, count('differ'), count('no-ground'))}
      </Body>
      {differing.length > 0 ? (
        <View style={styles.differ}>
          <Body>{t.whereYouDifferNothingCounts}</Body>
          <LookTogether
            other={other}
            name={otherName}
            begin={(word) =>
              router.push({
                pathname: '/find/[id]/check',
                params: {
                  id: record.id,
                  together: differing.map((one) => one.character).join(','),
                  ...(word === undefined ? {} : { word }),
                },
              })
            }
          />
        </View>
      ) : (
        <Body soft>{t.aSecondPersonsLookConfirms}</Body>
      )}
    </>
  );
}

/** It takes both: beside each other at one device, or each at their own. */
function LookTogether({
  other,
  name,
  begin,
}: {
  readonly other: string;
  readonly name: string;
  readonly begin: (word: string | undefined) => void;
}) {
  const [choosing, setChoosing] = useState(false);
  if (!choosing) return <Button label={t.lookAtItTogether} onPress={() => setChoosing(true)} />;
  return (
    <View style={styles.block} role="group" aria-label={t.howYouLookTogether}>
      <Button label={t.isHereAndSaysIt(name)} onPress={() => begin(other)} />
      <Button label={t.eachOfUsOnOur} tone="outline" onPress={() => begin(undefined)} />
      <Small>{t.onTwoDevicesItIs}</Small>
    </View>
  );
}

function Pair({
  both: { character, first, second, says },
  first: one,
  second: other,
}: {
  readonly both: BothLooks;
  readonly first: string;
  readonly second: string;
}) {
  const loud = says === 'differ' || says === 'partly';
  return (
    <View role="listitem" aria-label={`${characterName(character)}: ${SAYS[says].toLowerCase()}`}>
      <View style={[styles.pair, loud && styles.loud]}>
        <View style={styles.head}>
          <OrganGlyph organ={characterOf(character)?.organ ?? 'flesh'} size={22} colour={colour.ink} />
          <Strong style={styles.grow}>{characterName(character)}</Strong>
          <SmallStrong>{SAYS[says]}</SmallStrong>
        </View>
        <View style={styles.sides}>
          <Side name={one} reading={first} />
          <Side name={other} reading={second} />
        </View>
      </View>
      <Rule />
    </View>
  );
}

function Side({ name, reading }: { readonly name: string; readonly reading: Reading }) {
  const [state] = statesRead(reading.value);
  const character = characterOf(reading.character);
  return (
    <View style={styles.side}>
      <Small soft>{name}</Small>
      {state && character && isDrawn(character) ? (
        <AnswerDrawing character={reading.character} state={state} height={64} />
      ) : null}
      <Body>{readingWords(reading)}</Body>
      {reading.note ? <Small soft>{reading.note}</Small> : null}
    </View>
  );
}
