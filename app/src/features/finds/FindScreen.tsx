import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import type { FindRecord } from '@pause/core';
import type { Evaluation } from '../../evaluate/evaluate';
import { CHOICE, CommonName, commonName, CONDITION, CONTAMINATION, lowerFirst, OUTCOME, partName, scientificName, stageName } from '../../words/names';
import { momentWords } from '../../words/days';
import { stripLine } from '../../words/reasons';
import { Body, Button, colour, Heading, OutcomeMark, Rule, Screen, Small, space, Strong, Title } from '../../ui';
import { Seen } from '../check/Seen';
import { FindFrame } from '../FindFrame';

/** One find, with all that was read, judged and decided. */
export function FindScreen() {
  return <FindFrame render={({ record, evaluation }) => <FindView record={record} evaluation={evaluation} />} />;
}

function FindView({ record, evaluation }: { readonly record: FindRecord; readonly evaluation: Evaluation | undefined }) {
  const router = useRouter();
  const target = record.targets.at(-1)?.taxon;
  const params = { id: record.id };
  return (
    <Screen>
      <View>
        <Small soft>{[record.number ? `Find ${record.number}` : 'New find', momentWords(new Date(record.startedAt)), record.placeNote].filter(Boolean).join(' · ')}</Small>
        <Title>{target ? CommonName(target) : 'No name yet'}</Title>
        {target ? <Small soft style={styles.scientific}>{scientificName(target)}</Small> : null}
      </View>
      <Decisions record={record} />
      {evaluation && evaluation.verdict.outcome !== lastOutcome(record) ? (
        <View style={styles.now}>
          <OutcomeMark outcome={evaluation.verdict.outcome} size={30} colour={colour.ink} />
          <View style={styles.grow}>
            <Strong>By this guide now: {OUTCOME[evaluation.verdict.outcome]}</Strong>
            <Small soft>{stripLine(evaluation.verdict)}</Small>
          </View>
        </View>
      ) : null}
      <View style={styles.ways}>
        <Button label="Go on checking" tone="outline" onPress={() => router.push({ pathname: '/find/[id]/check', params })} style={styles.way} />
        <Button label="Reasons" tone="outline" onPress={() => router.push({ pathname: '/find/[id]/verdict', params })} style={styles.way} />
      </View>
      <Heading>Every reading</Heading>
      <Seen record={record} slips={false} />
      <AroundTold record={record} target={target} />
    </Screen>
  );
}

/** What the verdict was when the person last decided. */
function lastOutcome(record: FindRecord): string | undefined {
  const last = record.decisions.at(-1);
  return record.verdicts.find((v) => v.id === last?.verdict)?.verdict.outcome;
}

function Decisions({ record }: { readonly record: FindRecord }) {
  if (record.decisions.length === 0) return <Body soft>Nobody has decided yet.</Body>;
  return (
    <View role="list" aria-label="Decisions" style={styles.decisions}>
      {[...record.decisions].reverse().map((decision) => {
        const verdict = record.verdicts.find((v) => v.id === decision.verdict)?.verdict;
        const outcome = verdict?.outcome ?? 'pause';
        const odds = decision.choice === 'collect' && outcome !== 'collect';
        return (
          <View key={decision.id} role="listitem" style={styles.decision}>
            <OutcomeMark outcome={outcome} size={34} colour={outcome === 'collect' ? colour.collect : colour.ink} />
            <View style={styles.grow}>
              <Heading>{CHOICE[decision.choice]}{odds ? ', against the verdict' : ''}</Heading>
              <Small soft>{momentWords(new Date(decision.at))} · the verdict was {OUTCOME[outcome].toLowerCase()}</Small>
              {decision.reason ? <Body>“{decision.reason}”</Body> : null}
            </View>
          </View>
        );
      })}
    </View>
  );
}

function AroundTold({ record, target }: { readonly record: FindRecord; readonly target: string | undefined }) {
  const { context } = record;
  const told = [
    context.stages && ['Stage', context.stages.map((s) => lowerFirst(stageName(s))).join(', ')],
    context.condition && ['Condition', lowerFirst(CONDITION[context.condition])],
    context.part && target && ['Wanted', partName(target, context.part)],
    context.permission && ['Picking here', { allowed: 'allowed', forbidden: 'not allowed', unknown: 'not known' }[context.permission]],
    context.contamination && ['What spoils it', lowerFirst(CONTAMINATION[context.contamination])],
    context.protection && ['Protected', { allowed: 'no, looked up', protected: 'yes', unknown: 'not known' }[context.protection]],
    context.tracedToBase !== undefined && ['Traced to one base', context.tracedToBase ? 'yes' : 'no'],
    record.targets.length > 1 && ['Taken for before', record.targets.slice(0, -1).map((t) => commonName(t.taxon)).join(', ')],
  ].filter((line): line is string[] => Array.isArray(line));
  if (told.length === 0) return null;
  return (
    <>
      <Heading>Around it</Heading>
      <View>
        <Rule />
        {told.map(([name, value]) => (
          <View key={name}>
            <View style={styles.told}><Small soft style={styles.toldName}>{name}</Small><Body style={styles.grow}>{value}</Body></View>
            <Rule />
          </View>
        ))}
      </View>
    </>
  );
}

const styles = StyleSheet.create({
  scientific: { fontStyle: 'italic' },
  now: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', gap: space.m },
  way: { flex: 1 },
  decisions: { gap: space.m },
  decision: { flexDirection: 'row', gap: space.m, alignItems: 'flex-start' },
  told: { flexDirection: 'row', gap: space.m, paddingVertical: space.s },
  toldName: { width: 130, paddingTop: 2 },
});
