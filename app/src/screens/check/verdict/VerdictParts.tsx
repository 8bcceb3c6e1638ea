import { View } from 'react-native';
import { preparationsOf } from '@pause/core';
import { type Verdict, type Reason, type AskedPlan, type FindRecord, short } from '@pause/core';
import { OutcomeMark, colour, Small, VerdictWord, Body, Heading, Strong, Button } from '../../../components';
import { Uprights } from '../../../components/Uprights';
import { guide } from '../../../deciding/guide';
import { t } from '../../../text/en/verdict';
import {
  commonName,
  scientificName,
  OUTCOME,
  CommonName,
  characterName,
  lowerFirst,
  readingWords,
} from '../../../text/names';
import { reasonWords } from '../../../text/reasons';
import { stripLine, aboutPart } from '../../../text/strip';
import { styles } from './verdictStyles';

/** The parts of a verdict. */

export function Band({ verdict }: { readonly verdict: Verdict }) {
  const on = verdict.outcome === 'pause' ? 'light' : 'dark';
  return (
    <View style={[styles.band, styles[verdict.outcome]]} role="status">
      <OutcomeMark outcome={verdict.outcome} size={56} colour={on === 'dark' ? colour.onDark : colour.ink} />
      <View style={styles.grow}>
        <Small on={on} role="heading" aria-level={1}>
          {commonName(verdict.target)} ·{' '}
          <Small on={on} style={styles.scientific}>
            {scientificName(verdict.target)}
          </Small>
        </Small>
        <VerdictWord on={on}>{OUTCOME[verdict.outcome]}</VerdictWord>
        <Body on={on}>{stripLine(verdict)}</Body>
      </View>
    </View>
  );
}

export function Group({
  title,
  reasons,
  verdict,
  more = [],
}: {
  readonly title: string;
  readonly reasons: readonly Reason[];
  readonly verdict: Verdict;
  readonly more?: readonly string[];
}) {
  if (reasons.length === 0 && more.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>{title}</Heading>
      {reasons.map((reason) => {
        const row =
          reason.code === 'bars-short' ? verdict.rows.find((r) => r.taxon === reason.taxon) : undefined;
        return (
          <View key={JSON.stringify(reason)} style={styles.reason}>
            <Body style={styles.grow}>{reasonWords(reason, verdict)}</Body>
            {row ? <Uprights row={row} size="small" /> : null}
          </View>
        );
      })}
      {more.map((line) => (
        <View key={line} style={styles.reason}>
          <Body style={styles.grow}>{line}</Body>
        </View>
      ))}
    </View>
  );
}

interface InTheWayProps {
  readonly verdict: Verdict;
  readonly plan: AskedPlan;
}

/** What would have to be another way for another verdict; or why no look will do now. */
export function InTheWay({ verdict, plan }: InTheWayProps) {
  if (verdict.outcome === 'collect' || (verdict.outcome === 'pause' && plan.feasible)) return null;
  return (
    <View style={styles.group}>
      <Heading>{t.whatIsInTheWay}</Heading>
      {verdict.outcome === 'leave' || plan.feasible ? (
        <Body>{leaveWords(verdict)}</Body>
      ) : (
        <>
          {plan.obstacles
            .map(obstacleWords)
            .slice(0, MOST_OBSTACLES)
            .map((line) => (
              <Body key={line}>{line}</Body>
            ))}
          <Body soft>{t.anotherStageOrOtherGear}</Body>
        </>
      )}
    </View>
  );
}

const MOST_OBSTACLES = 5;

const leaveWords = ({ reasons }: Verdict): string =>
  reasons.some((r) => r.weight === 'leave' && r.code.startsWith('contradicted'))
    ? t.nothingThatIsReadOn
    : reasons.some(aboutPart)
      ? t.anotherPartOrAnotherStage
      : t.notAnotherLookWhatRules;

function obstacleWords(o: Extract<AskedPlan, { feasible: false }>['obstacles'][number]): string {
  switch (o.code) {
    case 'cannot-bar':
      return t.cannotBeRuledOutAt(CommonName(o.taxon), o.most, o.need);
    case 'mark-unseen':
      return t.oneOfItsOwnMarks(characterName(o.character));
    case 'too-few-groups':
      return t.onlyIndependentThingsCanFit(o.most, o.need);
    default:
      return t.everythingCouldBeFilledAlone;
  }
}

/** What speaks for it: how many independent things fit, its own marks, and what is ruled out. */
export function SeenFor({ record, verdict }: { readonly record: FindRecord; readonly verdict: Verdict }) {
  const { fitGroups, groupsNeeded, signature } = verdict.holds;
  const out = verdict.rows.filter((row) => short(row) === 0);
  if (record.readings.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>{t.seenForIt}</Heading>
      <Body>{t.independentThingsFitAreNeeded(fitGroups.length, groupsNeeded)}</Body>
      {signature.length > 0 ? (
        <Body>
          {t.itsOwnMarks(
            signature.map((mark) => t.sign(lowerFirst(characterName(mark.character)), mark.held)).join('; '),
          )}
        </Body>
      ) : null}
      <Body>{t.ofDangerousOnesOfThe(out.length, verdict.rows.length)}</Body>
    </View>
  );
}

export function LeansOn({
  record,
  verdict,
  onAgain,
}: {
  readonly record: FindRecord;
  readonly verdict: Verdict;
  readonly onAgain: () => void;
}) {
  const readings = verdict.leansOn.flatMap((id) => record.readings.find((r) => r.id === id) ?? []);
  if (readings.length === 0 || verdict.outcome === 'pause') return null;
  return (
    <View style={styles.group}>
      <Heading>{t.whatItLeansOn}</Heading>
      <Body soft>{t.withoutAnyOneOfThese(OUTCOME[verdict.outcome].toLowerCase())}</Body>
      {readings.map((reading) => (
        <View key={reading.id} style={styles.reason}>
          <Body style={styles.grow}>
            <Strong>{characterName(reading.character)}: </Strong>
            {lowerFirst(readingWords(reading))}
          </Body>
        </View>
      ))}
      <Button label={t.lookAgainOnAnotherPiece} tone="outline" onPress={onAgain} style={styles.start} />
    </View>
  );
}

/** What must be done first, and for whom it is not. Only where collecting is in question. */
export function Before({ verdict, record }: { readonly verdict: Verdict; readonly record: FindRecord }) {
  const taxon = guide.taxon(verdict.target)?.taxon;
  const part = taxon?.parts.find((p) => p.part === record.context.part);
  const lines = [
    ...(part ? preparationsOf(part).map(({ text }) => text) : []),
    ...(part ? (taxon?.cautions ?? []).map((caution) => caution.text) : []),
  ];
  if (verdict.outcome === 'leave' || lines.length === 0) return null;
  return (
    <View style={styles.group}>
      <Heading>{t.beforeAnyoneEatsIt}</Heading>
      {lines.map((line) => (
        <Body key={line}>{line}</Body>
      ))}
    </View>
  );
}
