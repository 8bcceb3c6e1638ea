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
import { t } from '../../text/en/eating';
import { t as pantryText } from '../../text/en/pantry';
import { sentences } from '../../text/messages';
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
        <Loading what={pantryText.openingTheNotebook} />
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

interface TastedProps {
  readonly taste: Page;
}

type Result = NonNullable<TasteFields['ended']>['result'];

function Tasted({ taste }: TastedProps) {
  const act = useAct();
  const { id, fields } = taste;
  const { taxon = '', eater = pantryText.somebody, at = '', signs = [], ended } = fields;
  const end = (result: Result) =>
    void act(changeFields(id, 'taste', () => ({ ended: { at: act(now()), result } })));
  return (
    <Screen>
      <View>
        <Small soft>{t.firstTaste(at ? momentWords(new Date(at)) : '')}</Small>
        <Title>
          {CommonName(taxon)}: {eater}
        </Title>
      </View>
      <HowItStands taste={taste} onEnd={end} />
      {ended ? <Body>{t.thatSaysHowTakesIt(RESULT[ended.result], eater)}</Body> : null}
      {signs.length > 0 ? (
        <View role="list" aria-label={pantryText.whatWasFelt} style={styles.block}>
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
      {ended === undefined ? <SomethingFelt id={id} /> : null}
      {ended === undefined && signs.length > 0 ? (
        <Button label={t.itIsOverAndWas} tone="outline" style={styles.start} onPress={() => end('signs')} />
      ) : null}
      {signs.length > 0 ? <ToCautions eater={eater} taxon={taxon} /> : null}
      <Helped id={id} helped={fields.helped} taxon={taxon} />
    </Screen>
  );
}

const RESULT: Readonly<Record<Result, string>> = {
  'nothing-felt': t.nothingWasFeltWithinA,
  signs: t.somethingWasFeltItIs,
  'broken-off': t.itWasBrokenOffSentence,
};

/** No more of it; or how long there is still to wait; or the day has gone. */
function HowItStands({
  taste: { id, fields },
  onEnd,
}: TastedProps & { readonly onEnd: (result: Result) => void }) {
  const act = useAct();
  const router = useRouter();
  const today = useToday();
  const { at = '', signs = [], ended } = fields;
  const state = tasteState(at, signs, today);
  if (state.state === 'stop')
    return (
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
    );
  if (state.state === 'clock-set-back') return <Body>{t.theClockWasSetBackNobody}</Body>;
  if (ended !== undefined) return null;
  if (state.state === 'waiting')
    return (
      <View style={styles.wait} role="status" aria-label={t.waiting}>
        <Strong>{t.anotherHours(Math.ceil(state.hoursLeft))}</Strong>
        <Body>{sentences(t.noMoreOfItAnd, state.askAt && t.askAgainAt(momentWords(state.askAt)))}</Body>
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
    );
  return (
    <View style={styles.block}>
      <Strong>{t.aDayHasGoneHow}</Strong>
      <ChipRow label={t.howItWas}>
        <Button label={t.nothingWasFelt} onPress={() => onEnd('nothing-felt')} />
        <Button label={t.itWasBrokenOff} tone="outline" onPress={() => onEnd('broken-off')} />
      </ChipRow>
    </View>
  );
}

function SomethingFelt({ id }: { readonly id: string }) {
  const act = useAct();
  const [text, setText] = useState('');
  const save = (sign: Sign) => {
    void act(
      changeFields(id, 'taste', ({ signs: all = [] }) => ({
        signs: [...all, { at: act(now()), sign, ...(text.trim() === '' ? {} : { text: text.trim() }) }],
      })),
    );
    setText('');
  };
  return (
    <View style={styles.block}>
      <Heading>{t.somethingIsFelt}</Heading>
      <Field label={t.inWords} value={text} onChangeText={setText} maxLength={120} />
      <ChipRow label={t.where}>
        {(Object.keys(SIGN) as Sign[]).map((sign) => (
          <Button key={sign} label={SIGN[sign]} tone="outline" onPress={() => save(sign)} />
        ))}
      </ChipRow>
    </View>
  );
}
