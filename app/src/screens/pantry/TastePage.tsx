import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import type { TasteFields, Sign } from '@pause/core/pantry';
import { tasteState } from '@pause/core/pantry/tasting';
import {
  Screen,
  Loading,
  Notice,
  Small,
  Title,
  Strong,
  Body,
  Button,
  ChipRow,
  Heading,
  Field,
} from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { usePantry, type TastePage as Page } from '../../notebook/pantry';
import { useAct } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { momentWords } from '../../text/days';
import { CommonName } from '../../text/names';
import { SIGN } from '../../text/pantry';
import { ToCautions, Helped } from './TasteParts';
import { styles } from './tasteStyles';

/** A first taste that is going on, or how it went. */
export function TastePage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const taste = pantry.tastes.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (!taste)
    return (
      <Screen>
        <Notice
          whole
          title="There is no such taste"
          text="A first taste is only in the notebook of who put it down."
        />
      </Screen>
    );
  return <Tasted taste={taste} />;
}

function Tasted({ taste: { id, fields } }: { readonly taste: Page }) {
  const act = useAct();
  const router = useRouter();
  const today = useToday();
  const [text, setText] = useState('');
  const { taxon = '', eater = 'Somebody', at = '', signs = [], ended } = fields;
  const state = tasteState(at, signs, today);
  const feel = (sign: TasteFields['signs'][number]['sign']) => {
    void act(
      changeFields(id, 'taste', ({ signs: all = [] }) => ({
        signs: [...all, { at: act(now()), sign, ...(text.trim() === '' ? {} : { text: text.trim() }) }],
      })),
    );
    setText('');
  };
  const end = (result: NonNullable<TasteFields['ended']>['result']) =>
    void act(changeFields(id, 'taste', () => ({ ended: { at: act(now()), result } })));
  return (
    <Screen>
      <View>
        <Small soft>First taste · {at ? momentWords(new Date(at)) : ''}</Small>
        <Title>
          {CommonName(taxon)}: {eater}
        </Title>
      </View>
      {state.state === 'stop' ? (
        <View style={styles.stop} role="alert">
          <Strong on="dark">No more of it</Strong>
          <Body on="dark">
            {state.call
              ? 'Call the emergency number or the poison service now, and have the sheet ready.'
              : 'Whatever it is, that was enough. If it grows, or breath or head come to it: call at once. In doubt, call the poison service.'}
          </Body>
          <Button
            label="The sheet, and whom to call"
            tone="outline"
            style={styles.onDark}
            onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
          />
        </View>
      ) : null}
      {ended === undefined && state.state === 'waiting' ? (
        <View style={styles.wait} role="status" aria-label="Waiting">
          <Strong>Another {Math.ceil(state.hoursLeft)} hours</Strong>
          <Body>
            No more of it, and nothing else that is new.
            {state.askAt ? ` Ask again at ${momentWords(state.askAt)}.` : ''}
          </Body>
          <Button
            label="Nothing so far"
            tone="outline"
            style={styles.start}
            onPress={() =>
              void act(
                changeFields(id, 'taste', ({ asked = [] }) => ({ asked: [...asked, act(now())].slice(-60) })),
              )
            }
          />
        </View>
      ) : null}
      {state.state === 'clock-set-back' ? (
        <Body>The clock was set back: nobody knows how long it is. Wait a day from now.</Body>
      ) : null}
      {ended === undefined && state.state === 'waited' ? (
        <View style={styles.block}>
          <Strong>A day has gone. How was it?</Strong>
          <ChipRow label="How it was">
            <Button label="Nothing was felt" onPress={() => end('nothing-felt')} />
            <Button label="It was broken off" tone="outline" onPress={() => end('broken-off')} />
          </ChipRow>
        </View>
      ) : null}
      {ended ? (
        <Body>
          {
            {
              'nothing-felt': 'Nothing was felt within a day.',
              signs: 'Something was felt: it is not for them.',
              'broken-off': 'It was broken off.',
            }[ended.result]
          }{' '}
          That says how {eater} takes it, and nothing of what it is.
        </Body>
      ) : null}
      {signs.length > 0 ? (
        <View role="list" aria-label="What was felt" style={styles.block}>
          {signs.map((one) => (
            <View key={one.at} role="listitem">
              <Body>
                {momentWords(new Date(one.at))}: {SIGN[one.sign]}
                {one.text ? `, ${one.text}` : ''}
              </Body>
            </View>
          ))}
        </View>
      ) : null}
      {ended === undefined ? (
        <View style={styles.block}>
          <Heading>Something is felt</Heading>
          <Field label="In words" value={text} onChangeText={setText} maxLength={120} />
          <ChipRow label="Where">
            {(Object.keys(SIGN) as Sign[]).map((sign) => (
              <Button key={sign} label={SIGN[sign]} tone="outline" onPress={() => feel(sign)} />
            ))}
          </ChipRow>
        </View>
      ) : null}
      {ended === undefined && signs.length > 0 ? (
        <Button
          label="It is over, and was not for them"
          tone="outline"
          style={styles.start}
          onPress={() => end('signs')}
        />
      ) : null}
      {signs.length > 0 ? <ToCautions eater={eater} taxon={taxon} /> : null}
      <Helped id={id} helped={fields.helped} taxon={taxon} />
    </Screen>
  );
}
