import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  Body,
  Button,
  colour,
  corner,
  Field,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  Title,
} from '../../components';
import { now } from '../../notebook/add';
import { changeFields } from '../../notebook/changeFields';
import { sourceOf, usePantry, type Pantry, type PortionPage as Page } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/pantry';
import { CommonName, partName, scientificName } from '../../text/names';
import { amountWords, COOKING, METHOD, SPOILS } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { spoilsFor } from './batch';
import { portionWords } from './PantryParts';

/** What was eaten, used or given: of what, by whom, and how it went. */
export function PortionPage() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const pantry = usePantry();
  const portion = pantry.portions.find((one) => one.id === id);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  if (!portion)
    return (
      <Screen>
        <Notice whole title={t.thereIsNoSuchPage} text={t.theAddressNamesAMeal} />
      </Screen>
    );
  return <Portion portion={portion} pantry={pantry} />;
}

function Portion({ portion, pantry }: { readonly portion: Page; readonly pantry: Pantry }) {
  const act = useAct();
  const router = useRouter();
  const me = useApp((state) => state.me.person?.id);
  const [text, setText] = useState('');
  const {
    id,
    person,
    fields: { what = 'meal', at, of = [], who = [], cooked, toWhom, signs = [] },
  } = portion;
  const feel = () => {
    void act(
      changeFields(id, 'portion', ({ signs: all = [] }) => ({
        signs: [...all, { at: act(now()), text: text.trim() }],
      })),
    );
    setText('');
  };
  return (
    <Screen>
      <View>
        <Small soft>{at ? momentWords(new Date(at)) : ''}</Small>
        <Title>{portionWords(pantry, portion)}</Title>
        {cooked ? (
          <Body>
            {COOKING[cooked.how]}
            {cooked.minutes === undefined ? '' : t.cookedForMinutes(cooked.minutes)}
          </Body>
        ) : null}
      </View>
      <View style={styles.block}>
        <Heading>{t.ofWhat}</Heading>
        <View role="list" aria-label={t.ofWhat}>
          <Rule strong />
          {of.map((source) => {
            const from = sourceOf(pantry, source);
            const name =
              from === undefined
                ? t.aFind
                : from.name === ''
                  ? CommonName(from.contents[0]?.taxon ?? '')
                  : from.name;
            return (
              <View key={source.id} role="listitem">
                <View style={styles.line}>
                  <View style={styles.grow}>
                    <Strong>{name}</Strong>
                    <Small soft>
                      {from?.contents
                        .map((one) => `${scientificName(one.taxon)}, ${partName(one.taxon, one.part)}`)
                        .join('; ')}
                    </Small>
                  </View>
                  <Button
                    label={t.open}
                    aria-label={t.openNamed(name)}
                    tone="plain"
                    onPress={() =>
                      router.push({
                        pathname: source.of === 'batch' ? '/batch/[id]' : '/find/[id]',
                        params: { id: source.id },
                      })
                    }
                  />
                </View>
                <Rule />
              </View>
            );
          })}
        </View>
        {who.length > 0 ? (
          <Body>
            {what === 'meal' ? t.eatenBy : t.eatenOn} {who.join(', ')}.
          </Body>
        ) : null}
      </View>
      {what === 'gift' ? <GiftNote portion={portion} pantry={pantry} toWhom={toWhom ?? ''} /> : null}
      {what === 'meal' || what === 'outward' ? (
        <View style={styles.block}>
          <Heading>{t.howItWent}</Heading>
          {signs.length === 0 ? <Body>{t.nobodyHasFeltAnythingSo}</Body> : null}
          <View role="list" aria-label={t.whatWasFelt}>
            {signs.map((one) => (
              <View key={one.at} role="listitem">
                <Body>
                  {momentWords(new Date(one.at))}: {one.text}
                </Body>
              </View>
            ))}
          </View>
          {person === me ? (
            <>
              <Field
                label={t.somebodyFeltSomething}
                value={text}
                onChangeText={setText}
                maxLength={120}
                hint={t.whoAndWhat}
              />
              <Button
                label={t.putItDown}
                tone="outline"
                disabled={text.trim() === ''}
                style={styles.start}
                onPress={feel}
              />
            </>
          ) : null}
          {signs.length > 0 ? <Strong>{t.doNotWaitForMore}</Strong> : null}
          <Button
            label={t.someoneIsIllAfterIt}
            tone={signs.length > 0 ? 'ink' : 'outline'}
            style={styles.start}
            onPress={() => router.push({ pathname: '/sheet/[id]', params: { id } })}
          />
        </View>
      ) : null}
    </Screen>
  );
}

/** What goes with it: to be printed and handed over. */
function GiftNote({
  portion,
  pantry,
  toWhom,
}: {
  readonly portion: Page;
  readonly pantry: Pantry;
  readonly toWhom: string;
}) {
  const me = useApp((state) => state.me.person?.name ?? '');
  const batches = (portion.fields.of ?? []).flatMap(({ id, amount }) =>
    pantry.batches.filter((one) => one.id === id).map((batch) => ({ batch, amount })),
  );
  return (
    <View style={styles.block}>
      <View style={styles.note} role="article" aria-label={t.aNoteToHandOver}>
        <Heading>{t.for(toWhom)}</Heading>
        {batches.map(({ batch: { id, fields }, amount }) => (
          <View key={id}>
            <Strong>
              {fields.name}
              {amount ? `, ${amountWords(amount)}` : ''}
            </Strong>
            <Body>
              {(fields.contents ?? [])
                .map(
                  (one) =>
                    `${CommonName(one.taxon)} (${scientificName(one.taxon)}), ${partName(one.taxon, one.part)}`,
                )
                .join('; ')}
              ; {fields.method ? METHOD[fields.method][1] : ''}
              {fields.on ? `, ${isoDayName(fields.on)}` : ''}.
            </Body>
            {fields.bestBefore ? <Body>{t.bestBeforeSentence(isoDayName(fields.bestBefore))}</Body> : null}
            {spoilsFor(fields).map((one) => (
              <Body key={one}>{SPOILS[one]}</Body>
            ))}
          </View>
        ))}
        <Body>{t.gatheredWildAndLookedAt(me)}</Body>
      </View>
      <Button
        label={t.printTheNote}
        tone="outline"
        style={styles.start}
        {...({ dataSet: { print: 'no' } } as object)}
        onPress={() => window.print()}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, paddingVertical: space.s },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  note: {
    gap: space.s,
    padding: space.l,
    backgroundColor: colour.card,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
});
