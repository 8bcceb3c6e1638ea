import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { guide } from '../../evaluate/guide';
import { dayWords } from '../../words/days';
import { CHOICE, CommonName, commonName, GRADE, harmLine, OUTCOME } from '../../words/names';
import { Body, Button, Chip, colour, Heading, Rule, Screen, Small, space, Strong, Title } from '../../ui';
import { useFinds, useToday } from '../finds/useFinds';
import { Calls } from './Calls';

const FIRST = [
  'Call now. Do not wait for signs.',
  'Say what was eaten, how much, when, by whom, and how it was prepared.',
  'If someone is drowsy, cramps, breathes badly or has collapsed: the emergency number first.',
  'Take bits of it out of the mouth. Rinse the mouth with water; eyes and skin too, if they touched it.',
];
const NOT = ['Do not make anyone vomit.', 'Give nothing to eat or drink against it, no milk, salt water or alcohol, unless the poison service says so.', 'Do not leave the person alone.'];
const KEEP = ['What is left: raw, cooked, peelings, the basket. Cool, in paper.', 'What was vomited, in a clean jar.', 'Names and times of all who ate of it, also those who feel well.'];

/** What to do when someone has eaten the wrong thing. Needs no network and no find. */
export function EatenScreen() {
  const dangerous = guide.taxa.filter((taxon) => taxon.taxon.harm.onsetHours !== undefined).sort(silentLongest);
  return (
    <Screen>
      <Title>Someone ate something</Title>
      <Calls />
      <Numbered title="Now" lines={FIRST} numbered />
      <Numbered title="Do not" lines={NOT} />
      <Numbered title="Keep, and write down" lines={KEEP} />
      <ReadOut />
      <Heading>Feeling well means nothing yet</Heading>
      <Body>The worst poisons are silent for many hours, some for days. Early vomiting does not rule a late poison out: baskets are mixed. This is how long, for those of this guide on which references agree:</Body>
      <View role="list" aria-label="How long each stays silent">
        <Rule />
        {dangerous.map((taxon) => (
          <View key={taxon.id} role="listitem">
            <View style={styles.line}>
              <Strong>{CommonName(taxon.id)}</Strong>
              <Small soft>{harmLine(taxon.id).replace(`${GRADE[taxon.grade]} · `, '')}</Small>
              {taxon.taxon.harm.effects ? <Body>{taxon.taxon.harm.effects}</Body> : null}
            </View>
            <Rule />
          </View>
        ))}
      </View>
      <Small soft>Pause gives no treatment and no doses. Doctors and poison services do.</Small>
    </Screen>
  );
}

/** What to read out on the telephone, from the finds of this notebook. */
function ReadOut() {
  const finds = useFinds().items;
  const [chosen, setChosen] = useState<string>();
  const router = useRouter();
  const today = useToday();
  const find = finds.find((f) => f.id === chosen);
  const taxon = guide.taxon(find?.target ?? '');
  if (finds.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>What it may have been</Heading>
      <View role="radiogroup" aria-label="What it may have been" style={styles.finds}>
        {finds.slice(0, 8).map((f) => <Chip key={f.id} label={`${f.number ?? 'new'} · ${f.target === undefined ? 'no name yet' : commonName(f.target)}`} chosen={f.id === chosen} onPress={() => setChosen(f.id === chosen ? undefined : f.id)} />)}
      </View>
      {find ? (
        <View style={styles.block} role="status">
          <Body><Strong>Read this out: </Strong>{taxon ? `taken for ${commonName(taxon.id)}, ${taxon.taxon.scientificName}, of the family ${taxon.taxon.family}${taxon.grade === 'none' ? '' : `, which is ${harmLine(taxon.id)}`}` : find.target === undefined ? 'it was given no name' : `taken for ${find.target}, which this guide does not know`}. Found {dayWords(new Date(find.startedAt), today)}{find.placeNote ? `, ${find.placeNote}` : ''}. {find.readings} things were looked at; the last verdict was {find.outcome ? OUTCOME[find.outcome].toLowerCase() : 'none'}{find.choice ? `, and it was ${CHOICE[find.choice].toLowerCase()}` : ''}.</Body>
          {taxon && taxon.taxon.lookalikes.length > 0 ? <Body>It is mistaken for: {taxon.taxon.lookalikes.flatMap((id) => guide.taxon(id)?.taxon.scientificName ?? []).join(', ')}.</Body> : null}
          <Body soft>{taxon ? 'That is what it was taken for, not what was eaten. Say that, too.' : 'Anything may have been eaten. The sheet names what is not ruled out.'}</Body>
          <Button label="The whole sheet, for whoever treats" tone="outline" style={styles.start} onPress={() => router.push({ pathname: '/sheet/[id]', params: { id: find.id } })} />
        </View>
      ) : null}
    </View>
  );
}

const silentLongest = (a: CompiledTaxon, b: CompiledTaxon) => (b.taxon.harm.onsetHours?.[0] ?? 0) - (a.taxon.harm.onsetHours?.[0] ?? 0);

function Numbered({ title, lines, numbered = false }: { readonly title: string; readonly lines: readonly string[]; readonly numbered?: boolean }) {
  return (
    <View style={styles.block}>
      <Heading>{title}</Heading>
      {lines.map((line, index) => (
        <View key={line} style={styles.item}>
          <Strong style={styles.number}>{numbered ? `${index + 1}` : '–'}</Strong>
          <Body style={styles.grow}>{line}</Body>
        </View>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  finds: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  block: { gap: space.s, borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  item: { flexDirection: 'row', gap: space.s },
  number: { width: 20 },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
  line: { paddingVertical: space.s },
});
