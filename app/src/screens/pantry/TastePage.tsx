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
import { t } from '../../text/en/pantry';
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
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  if (!taste)
    return (
      <Screen>
        <Notice whole title={t.thereIsNoSuchTaste} text={t.aFirstTasteIsOnly} />
      </Screen>
    );
  return <Tasted taste={taste} />;
}

function Tasted({ taste: { id, fields } }: { readonly taste: Page }) {
  const act = useAct();
  const router = useRouter();
  const today = useToday();
  const [text, setText] = useState('');
  const { taxon = '', eater = t.somebody, at = '', signs = [], ended } = fields;
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
        <Small soft>{t.firstTaste(at ? momentWords(new Date(at)) : '')}</Small>
        <Title>
          {CommonName(taxon)}: {eater}
        </Title>
      </View>
      {state.state === 'stop' ? (
        <View style={styles.stop} role="alert">
          <Strong on="dark">{t.noMoreOfIt}</Strong>
          <Body on="dark">{state.call ? t.callTheEmergencyNumberOr : t.whateverItIsThatWas}</Body>
          <Button
            label={t.theSheetAndWhomTo}
            tone="outline"
            style={styles.onDark}
            onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
          />
        </View>
      ) : null}
      {ended === undefined && state.state === 'waiting' ? (
        <View style={styles.wait} role="status" aria-label={t.waiting}>
          <Strong>{t.anotherHours(Math.ceil(state.hoursLeft))}</Strong>
          <Body>{t.noMoreOfItAnd(state.askAt ? t.askAgainAt(momentWords(state.askAt)) : '')}</Body>
          <Button
            label={t.nothingSoFar}
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
      {state.state === 'clock-set-back' ? <Body>{t.theClockWasSetBackNobody}</Body> : null}
      {ended === undefined && state.state === 'waited' ? (
        <View style={styles.block}>
          <Strong>{t.aDayHasGoneHow}</Strong>
          <ChipRow label={t.howItWas}>
            <Button label={t.nothingWasFelt} onPress={() => end('nothing-felt')} />
            <Button label={t.itWasBrokenOff} tone="outline" onPress={() => end('broken-off')} />
          </ChipRow>
        </View>
      ) : null}
      {ended ? (
        <Body>
          {t.thatSaysHowTakesIt(
            {
              'nothing-felt': t.nothingWasFeltWithinA,
              signs: t.somethingWasFeltItIs,
              'broken-off': t.itWasBrokenOffSentence,
            }[ended.result],
            eater,
          )}
        </Body>
      ) : null}
      {signs.length > 0 ? (
        <View role="list" aria-label={t.whatWasFelt} style={styles.block}>
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
          <Heading>{t.somethingIsFelt}</Heading>
          <Field label={t.inWords} value={text} onChangeText={setText} maxLength={120} />
          <ChipRow label={t.where}>
            {(Object.keys(SIGN) as Sign[]).map((sign) => (
              <Button key={sign} label={SIGN[sign]} tone="outline" onPress={() => feel(sign)} />
            ))}
          </ChipRow>
        </View>
      ) : null}
      {ended === undefined && signs.length > 0 ? (
        <Button label={t.itIsOverAndWas} tone="outline" style={styles.start} onPress={() => end('signs')} />
      ) : null}
      {signs.length > 0 ? <ToCautions eater={eater} taxon={taxon} /> : null}
      <Helped id={id} helped={fields.helped} taxon={taxon} />
    </Screen>
  );
}
