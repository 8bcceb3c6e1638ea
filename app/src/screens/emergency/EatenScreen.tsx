import { StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Body, colour, Heading, Rule, Screen, Small, space, Strong, Title, Row } from '../../components';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/emergency';
import { CommonName, GRADE, harmLine } from '../../text/names';
import { Calls } from './Calls';
import { ReadOut } from './ReadOut';

const FIRST = [t.callNowDoNotWait, t.sayWhatWasEatenHow, t.ifSomeoneIsDrowsyCramps, t.takeBitsOfItOut];
const NOT = [t.doNotMakeAnyoneVomit, t.giveNothingToEatOr, t.doNotLeaveThePerson];
const KEEP = [t.whatIsLeftRawCooked, t.whatWasVomitedInA, t.namesAndTimesOfAll];

/** What to do when someone has eaten the wrong thing. Needs no network and no find. */
export function EatenScreen() {
  const dangerous = guide.taxa
    .filter((taxon) => taxon.taxon.harm.onsetHours !== undefined)
    .sort(silentLongest);
  return (
    <Screen>
      <Title>{t.someoneAteSomething}</Title>
      <Calls />
      <Numbered title={t.now} lines={FIRST} numbered />
      <Numbered title={t.doNot} lines={NOT} />
      <Numbered title={t.keepAndWriteDown} lines={KEEP} />
      <ReadOut />
      <Heading>{t.feelingWellMeansNothingYet}</Heading>
      <Body>{t.theWorstPoisonsAreSilent}</Body>
      <View role="list" aria-label={t.howLongEachStaysSilent}>
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
      <Small soft>{t.pauseGivesNoTreatmentAnd}</Small>
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
        <Row gap="s" key={line}>
          <Strong style={styles.number}>{numbered ? `${index + 1}` : '–'}</Strong>
          <Body style={styles.grow}>{line}</Body>
        </Row>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s, borderLeftWidth: 5, borderLeftColor: colour.ink, paddingLeft: space.m },
  number: { width: 20 },
  grow: { flex: 1 },
  line: { paddingVertical: space.s },
});
