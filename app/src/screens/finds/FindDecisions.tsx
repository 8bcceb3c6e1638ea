import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type FindRecord, countOf } from '@pause/core';
import { Button, Body, OutcomeMark, colour, Heading, Small, Rule } from '../../components';
import { momentWords } from '../../text/days';
import { t } from '../../text/en/find';
import {
  CHOICE,
  OUTCOME,
  lowerFirst,
  stageName,
  CONDITION,
  partName,
  CONTAMINATION,
  cautionFor,
  openNameWords,
  commonName,
} from '../../text/names';
import { styles } from './findStyles';

/** Decisions on a find, how many there were, and where it grows. */

/** Pieces gone through after it was collected, and the way to go through more. */
export function Counted({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const { passed, strays } = countOf(record);
  if (record.decisions.at(-1)?.choice !== 'collect') return null;
  return (
    <View style={styles.collected}>
      {lastOutcome(record) === 'collect' ? (
        <Button
          label={t.howMuchToTakeAnd}
          style={styles.start}
          onPress={() => router.push({ pathname: '/find/[id]/take', params: { id: record.id } })}
        />
      ) : null}
      <Body>{passed + strays > 0 ? t.pieceByPiecePassedStrays(passed, strays) : t.theRestOfThePatch}</Body>
      {lastOutcome(record) === 'collect' && record.kingdom === 'Plantae' ? (
        <Button
          label={t.eatenWhereItStood}
          tone="outline"
          style={styles.start}
          onPress={() => router.push({ pathname: '/portion', params: { find: record.id } })}
        />
      ) : null}
      <Button
        label={t.someoneIsIllAfterIt}
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/sheet/[id]', params: { id: record.id } })}
      />
      <Button
        label={t.pieceByPiece}
        tone="outline"
        style={styles.start}
        onPress={() => router.push({ pathname: '/find/[id]/pieces', params: { id: record.id } })}
      />
    </View>
  );
}

/** What the verdict was when the person last decided. */
export function lastOutcome(record: FindRecord): string | undefined {
  const last = record.decisions.at(-1);
  return record.verdicts.find((v) => v.id === last?.verdict)?.verdict.outcome;
}

export function Decisions({ record }: { readonly record: FindRecord }) {
  if (record.decisions.length === 0) return <Body soft>{t.nobodyHasDecidedYet}</Body>;
  return (
    <View role="list" aria-label={t.decisions} style={styles.decisions}>
      {[...record.decisions].reverse().map((decision) => {
        const verdict = record.verdicts.find((v) => v.id === decision.verdict)?.verdict;
        // What has no name can only be left.
        const outcome = verdict?.outcome ?? (decision.choice === 'leave' ? 'leave' : 'pause');
        const moment = momentWords(new Date(decision.at));
        const odds = decision.choice === 'collect' && outcome !== 'collect';
        return (
          <View key={decision.id} role="listitem" style={styles.decision}>
            <OutcomeMark
              outcome={outcome}
              size={34}
              colour={outcome === 'collect' ? colour.collect : colour.ink}
            />
            <View style={styles.grow}>
              <Heading>
                {odds ? t.againstTheVerdict(CHOICE[decision.choice]) : CHOICE[decision.choice]}
              </Heading>
              <Small soft>
                {decision.verdict === undefined
                  ? t.withoutAName(moment)
                  : t.theVerdictWas(moment, OUTCOME[outcome].toLowerCase())}
              </Small>
              {decision.reason ? <Body>“{decision.reason}”</Body> : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}

const PATCH_SIZE = {
  few: t.fewerThanTen,
  tens: t.tens,
  hundreds: t.hundreds,
  thousands: t.thousands,
} as const;

interface FactsProps {
  readonly record: FindRecord;
  readonly target: string | undefined;
}

/** What is on record of place and condition: what it is called, and its value. */
function factsOf({ record, target }: FactsProps): string[][] {
  const { context } = record;
  return [
    context.stages && [t.stage, context.stages.map((s) => lowerFirst(stageName(s))).join(', ')],
    context.condition && [t.condition, lowerFirst(CONDITION[context.condition])],
    context.part && target && [t.wanted, partName(target, context.part)],
    context.permission && [
      t.pickingHere,
      { allowed: t.allowed, forbidden: t.notAllowed, unknown: t.notKnown }[context.permission],
    ],
    context.contamination && [t.whatSpoilsIt, lowerFirst(CONTAMINATION[context.contamination])],
    context.protection && [
      t.protected,
      { allowed: t.noLookedUp, protected: t.yes, unknown: t.notKnown }[context.protection],
    ],
    context.tracedToBase !== undefined && [t.tracedToOneBase, context.tracedToBase ? t.yes : t.no],
    context.eaters !== undefined && [
      t.whoWillEatIt,
      context.eaters
        .flatMap((e) => e.cautions)
        .map((c) => lowerFirst(cautionFor(c)))
        .join(', ') || t.nobodyWhoHasToMind,
    ],
    context.patchSize && [t.howManyStandThere, PATCH_SIZE[context.patchSize]],
    context.patchThrives !== undefined && [t.thePatchThrives, context.patchThrives ? t.yes : t.no],
    context.elevation !== undefined && [t.height, t.m(context.elevation)],
    context.openName && [t.named, openNameWords(context.openName)],
    record.targets.length > 1 && [
      t.takenForBefore,
      record.targets
        .slice(0, -1)
        .map(({ taxon }) => commonName(taxon))
        .join(', '),
    ],
  ].filter((line): line is string[] => Array.isArray(line));
}

export function ContextFacts(props: FactsProps) {
  const facts = factsOf(props);
  if (facts.length === 0) return null;
  return (
    <>
      <Heading>{t.placeAndCondition}</Heading>
      <View>
        <Rule />
        {facts.map(([name, value]) => (
          <View key={name}>
            <View style={styles.fact}>
              <Small soft style={styles.factName}>
                {name}
              </Small>
              <Body style={styles.grow}>{value}</Body>
            </View>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}
