import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { isoOf, dayOf } from '@pause/core/lib/day';
import type { Recalled } from '@pause/core/pantry/recall';
import { Strong, Body, Button, Heading, ChipRow } from '../../components';
import { changeFields } from '../../notebook/changeFields';
import type { Pantry, BatchPage } from '../../notebook/pantry';
import { useAct } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { measureWords, causeWords } from '../../text/recalls';
import { madesOf } from './batch';
import { styles } from './batchStyles';
import { useNames } from './RecallScreen';

/** The parts of a batch. */

/** It descends from something recalled. */
export function Held({ one, pantry }: { readonly one: Recalled; readonly pantry: Pantry }) {
  const router = useRouter();
  const nameOf = useNames(pantry);
  const [word, what] = measureWords(one);
  return (
    <View style={styles.held} role="status" aria-label={pantryText.inQuestion}>
      <Strong on="dark">{word}</Strong>
      <Body on="dark">
        {what} {one.causes.map((cause) => causeWords(cause, nameOf(cause.of))).join(' ')}
      </Body>
      <Button
        label={pantryText.whatAndWhy}
        tone="outline"
        style={styles.onDark}
        onPress={() => router.push('/recall')}
      />
    </View>
  );
}

/** What is done with it now that it is ready. */
export function Became({
  batch: {
    id,
    fields: { contents = [], bestBefore, ended },
  },
  held,
}: {
  readonly batch: BatchPage;
  readonly held: boolean;
}) {
  const router = useRouter();
  const today = isoOf(useDay());
  if (ended) return null;
  const mades = madesOf(contents);
  const outward =
    mades.length > 0 && mades.every(({ part }) => part.route !== undefined && part.route !== 'eaten');
  const to = (what: string) => router.push({ pathname: '/portion', params: { of: id, what } });
  // Of what is in question nobody eats, and nothing is made or given.
  if (held) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.whatBecomesOfIt}</Heading>
      {bestBefore !== undefined && dayOf(bestBefore) < dayOf(today) ? <Body>{t.itIsPastItsDay}</Body> : null}
      <View style={styles.ways}>
        <Button label={outward ? t.useOfIt : t.eatOfIt} onPress={() => to(outward ? 'outward' : 'meal')} />
        <Button
          label={t.makeMoreOfIt}
          tone="outline"
          onPress={() => router.push({ pathname: '/batch/new', params: { from: id } })}
        />
        <Button label={t.giveAway} tone="outline" onPress={() => to('gift')} />
        {outward ? null : (
          <Button
            label={pantryText.aFirstTaste}
            tone="outline"
            onPress={() => router.push({ pathname: '/taste', params: { of: id } })}
          />
        )}
      </View>
    </View>
  );
}

/** The end of it. */
export function Ended({ id }: { readonly id: string }) {
  const act = useAct();
  const today = isoOf(useDay());
  const [asking, setAsking] = useState(false);
  const end = (why: 'used-up' | 'thrown-out' | 'spoilt') =>
    void act(changeFields(id, 'batch', () => ({ ended: { on: today, why } })));
  if (!asking)
    return (
      <Button label={t.nothingIsLeftOfIt} tone="plain" style={styles.start} onPress={() => setAsking(true)} />
    );
  return (
    <View style={styles.block}>
      <ChipRow label={t.whatBecameOfTheRest}>
        <Button label={pantryText.usedUpHeading} tone="outline" onPress={() => end('used-up')} />
        <Button label={t.spoilt} tone="outline" onPress={() => end('spoilt')} />
        <Button label={pantryText.thrownOutHeading} tone="outline" onPress={() => end('thrown-out')} />
        <Button label={t.thereIsSome} tone="plain" onPress={() => setAsking(false)} />
      </ChipRow>
    </View>
  );
}
