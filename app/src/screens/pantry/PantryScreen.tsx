import { useRouter } from 'expo-router';
import { useState } from 'react';
import { View } from 'react-native';
import { shortCode } from '@pause/core/pantry';
import { useWide, Screen, Loading, Title, Small, Button, Notice, Field, Body } from '../../components';
import { usePantry, placesOf, isThere, type BatchPage } from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useToday } from '../../notebook/useFinds';
import { t } from '../../text/en/pantry';
import { commonName, scientificName } from '../../text/names';
import { Shelf, Tastes, Lately } from './PantryParts';
import { styles } from './pantryStyles';
import { RecallNotice } from './RecallNotice';

/** What is being made, what is there, and what became of it. */
export function PantryScreen() {
  const wide = useWide();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  const [text, setText] = useState('');
  const today = useToday();
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  const held = new Set(recalls.all.filter(({ kind }) => kind === 'batch').map(({ id }) => id));
  const found = pantry.batches.filter((batch) => matches(batch, text, placesOf(pantry, batch.id)));
  const making = found.filter(({ fields }) => fields.readyOn === undefined && fields.ended === undefined);
  const there = found.filter((batch) => batch.fields.readyOn !== undefined && isThere(pantry, batch));
  const finished = found.filter((batch) => !making.includes(batch) && !there.includes(batch));
  const shelf = { pantry, held, now: today };
  return (
    <Screen>
      <View>
        <Title>{t.pantry}</Title>
        <Small soft>{t.batchesOnTheShelfBeing(there.length, making.length)}</Small>
      </View>
      <RecallNotice recalls={recalls} />
      <WaysIn />
      {pantry.batches.length === 0 ? (
        <Notice title={t.nothingHasBeenMadeYet} text={t.whatYouCollectBecomesA} />
      ) : (
        <Field
          label={t.lookFor}
          value={text}
          onChangeText={setText}
          placeholder={t.aNameAPlaceThe}
          maxLength={80}
        />
      )}
      {text.trim() !== '' && found.length === 0 ? <Body>{t.nothingInThePantryIs}</Body> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.column, wide && styles.grow]}>
          <Shelf title={t.beingMade} batches={making} {...shelf} />
          <Shelf title={t.onTheShelf} batches={there} {...shelf} />
          <Shelf title={t.usedUpHeading} batches={finished} {...shelf} first={3} />
        </View>
        <View style={[styles.column, wide && styles.grow]}>
          <Tastes pantry={pantry} now={today} />
          <Lately pantry={pantry} today={today} />
          <WaysOn labels={there.length > 0} />
        </View>
      </View>
    </Screen>
  );
}

function WaysIn() {
  const router = useRouter();
  return (
    <View style={styles.ways}>
      <Button label={t.makeSomething} onPress={() => router.push('/batch/new')} />
      <Button label={t.putDownAMeal} tone="outline" onPress={() => router.push('/portion')} />
      <Button label={t.readALabel} tone="outline" onPress={() => router.push('/scan')} />
    </View>
  );
}

function WaysOn({ labels }: { readonly labels: boolean }) {
  const router = useRouter();
  return (
    <View style={styles.ways}>
      {labels ? <Button label={t.printLabels} tone="plain" onPress={() => router.push('/labels')} /> : null}
      <Button label={t.aFirstTaste} tone="plain" onPress={() => router.push('/taste')} />
      <Button label={t.logbook} tone="plain" onPress={() => router.push('/logbook')} />
    </View>
  );
}

/** Every word that is looked for is somewhere in it. */
export function matches(
  { id, fields: { name = '', contents = [], note = '' } }: Pick<BatchPage, 'id' | 'fields'>,
  text: string,
  places: readonly string[] = [],
): boolean {
  const all = [
    name,
    note,
    shortCode(id),
    ...places,
    ...contents.flatMap(({ taxon }) => [commonName(taxon), scientificName(taxon)]),
  ]
    .join(' ')
    .toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}
