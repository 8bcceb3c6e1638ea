import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Body, colour, Heading, Rule, Screen, Small, space, Strong, Title } from '../../components';
import { guide } from '../../deciding/guide';
import { CommonName, GRADE, harmLine } from '../../text/names';
import { Calls } from './Calls';
import { ReadOut } from './ReadOut';

const FIRST = [
  'Call now. Do not wait for signs.',
  'Say what was eaten, how much, when, by whom, and how it was prepared.',
  'If someone is drowsy, cramps, breathes badly or has collapsed: the emergency number first.',
  'Take bits of it out of the mouth. Rinse the mouth with water; eyes and skin too, if they touched it.',
];
const NOT = [
  'Do not make anyone vomit.',
  'Give nothing to eat or drink against it, no milk, salt water or alcohol, unless the poison service says so.',
  'Do not leave the person alone.',
];
const KEEP = [
  'What is left: raw, cooked, peelings, the basket. Cool, in paper.',
  'What was vomited, in a clean jar.',
  'Names and times of all who ate of it, also those who feel well.',
];

/** What to do when someone has eaten the wrong thing. Needs no network and no find. */
export function EatenScreen() {
  const dangerous = guide.taxa
    .filter((taxon) => taxon.taxon.harm.onsetHours !== undefined)
    .sort(silentLongest);
  return (
    <Screen>
      <Title>Someone ate something</Title>
      <Calls />
      <Numbered title="Now" lines={FIRST} numbered />
      <Numbered title="Do not" lines={NOT} />
      <Numbered title="Keep, and write down" lines={KEEP} />
      <ReadOut />
      <Heading>Feeling well means nothing yet</Heading>
      <Body>
        The worst poisons are silent for many hours, some for days. Early vomiting does not rule a late poison
        out: baskets are mixed. This is how long, for those of this guide on which references agree:
      </Body>
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

const silentLongest = (a: CompiledTaxon, b: CompiledTaxon) =>
  (b.taxon.harm.onsetHours?.[0] ?? 0) - (a.taxon.harm.onsetHours?.[0] ?? 0);

function Numbered({
  title,
  lines,
  numbered = false,
}: {
  readonly title: string;
  readonly lines: readonly string[];
  readonly numbered?: boolean;
}) {
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
  block: { gap: space.s, borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  item: { flexDirection: 'row', gap: space.s },
  number: { width: 20 },
  grow: { flex: 1 },
  line: { paddingVertical: space.s },
});
