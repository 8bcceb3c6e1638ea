import { useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View } from 'react-native';
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
import { characterName, characterOf, readingWords } from '../../../text/names';
import { readerName } from '../../../text/people';
import { OverTime } from './OverTime';
import { styles } from './togetherStyles';

/** Both looks side by side: where the two agree, and what they should look at together. */
export function TogetherScreen() {
  return <FindFrame render={({ record }) => <Together record={record} />} />;
}

const SAYS: Readonly<Record<Agreement, string>> = {
  agree: 'The same',
  partly: 'Partly the same',
  differ: 'Not the same',
  'no-ground': 'One could not tell',
};

const FIRST: Readonly<Record<Agreement, number>> = { differ: 0, partly: 1, 'no-ground': 2, agree: 3 };

function Together({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  const looked = [...new Set(record.readings.filter((r) => r.blind === true).map((r) => r.by))];
  const [who, setWho] = useState<string | undefined>(looked[0]);
  const both = useMemo(() => (who === undefined ? [] : sideBySide(guide, record, who)), [record, who]);
  const params = { id: record.id };
  if (who === undefined) {
    const asked = record.asks.some((ask) => blindAsk(record, ask.of));
    return (
      <Screen>
        <Notice
          whole
          title={asked ? 'The second look is not there yet' : 'Nobody has looked at it blind'}
          text={
            asked
              ? 'It will lie here beside yours as soon as it is.'
              : 'The best second look comes from somebody who does not know the answer.'
          }
          action="Ask for one"
          onAction={() => router.replace({ pathname: '/find/[id]/ask', params })}
        />
      </Screen>
    );
  }
  const [first, second] = [readerName(record, group, record.person), readerName(record, group, who)];
  const other = person?.id === record.person ? who : record.person;
  const count = (says: Agreement) => both.filter((one) => one.says === says).length;
  const differing = both.filter((one) => one.says === 'differ' || one.says === 'partly');
  return (
    <Screen>
      <View>
        <Small soft>
          {first} · {second}, blind
        </Small>
        <Title>Both looks</Title>
      </View>
      {looked.length > 1 ? (
        <ChipRow label="Whose second look">
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
      <Body>
        {count('agree') === both.length
          ? `All ${both.length} were seen the same.`
          : `${count('agree')} of ${both.length} were seen the same${count('differ') > 0 ? `, ${count('differ')} not` : ''}${count('no-ground') > 0 ? `; of ${count('no-ground')} one of the two could not tell` : ''}.`}
      </Body>
      {differing.length > 0 ? (
        <View style={styles.differ}>
          <Body>
            Where you differ nothing counts any more, for either. Look at it together, at the same spot and in
            good light; and both of you say what you see. One of you alone settles nothing.
          </Body>
          <LookTogether
            other={other}
            name={person?.id === record.person ? second : first}
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
        <Body soft>A second person’s look confirms; it never makes another bar of the same ground.</Body>
      )}
      <View role="list" aria-label="Both looks">
        <Rule strong />
        {[...both]
          .sort((a, b) => FIRST[a.says] - FIRST[b.says])
          .map((one) => (
            <Pair key={one.second.id} both={one} first={first} second={second} />
          ))}
      </View>
      <OverTime one={record.person} other={who} first={first} second={second} />
      <Button
        label="Ask somebody else too"
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/find/[id]/ask', params })}
      />
    </Screen>
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
  if (!choosing) return <Button label="Look at it together" onPress={() => setChoosing(true)} />;
  return (
    <View style={styles.block} role="group" aria-label="How you look together">
      <Button label={`${name} is here and says it on this device`} onPress={() => begin(other)} />
      <Button label="Each of us on our own device" tone="outline" onPress={() => begin(undefined)} />
      <Small>On two devices it is settled once both of you have looked again.</Small>
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
  const [state] = reading.value.kind === 'states' ? reading.value.states : [];
  const drawn = characterOf(reading.character)?.kind === 'states';
  return (
    <View style={styles.side}>
      <Small soft>{name}</Small>
      {state && drawn ? <AnswerDrawing character={reading.character} state={state} height={64} /> : null}
      <Body>{readingWords(reading)}</Body>
      {reading.note ? <Small soft>{reading.note}</Small> : null}
    </View>
  );
}
