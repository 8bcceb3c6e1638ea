import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect } from 'react';
import { StyleSheet, View } from 'react-native';
import { Button, Screen, Small, space, Title } from '../../components';
import { FindFrame, type FindProps } from '../../components/FindFrame';
import { FindWaysOut } from '../../components/FindWaysOut';
import { t } from '../../text/en/around';
import { commonName } from '../../text/names';
import { Around } from './Around';
import { DecisionStrip, StripPlace } from './DecisionStrip';
import { useEatersQuestion } from './useHousehold';

/**
 * Asks for place, stage, condition and use on one screen. Each may be left out; the screen says what that costs.
 */
export function AroundScreen() {
  return (
    <FindFrame render={({ record, evaluation }) => <AroundView record={record} evaluation={evaluation} />} />
  );
}

/**
 * Leads somebody who came to answer what is open back to the check, as soon as nothing is left to answer. Whoever
 * comes by themselves stays.
 */
function useLeadOn({ record, evaluation }: FindProps): void {
  const { id } = record;
  const eaters = useEatersQuestion(record, record.targets.at(-1)?.taxon ?? '');
  const router = useRouter();
  const { open } = useLocalSearchParams<{ open?: string }>();
  const verdict = evaluation?.verdict;
  const done =
    open !== undefined &&
    !eaters.open &&
    verdict?.outcome === 'pause' &&
    !verdict.reasons.some((r) => r.code === 'context-missing' || r.code === 'not-traced');
  useEffect(() => {
    if (done) router.replace({ pathname: '/find/[id]/check', params: { id } });
  }, [done, id, router]);
}

function AroundView({ record, evaluation }: FindProps) {
  const router = useRouter();
  useLeadOn({ record, evaluation });
  const target = record.targets.at(-1)?.taxon;
  if (!target) return null;
  return (
    <Screen
      rooms={false}
      strip={
        evaluation ? <DecisionStrip find={record.id} verdict={evaluation.verdict} around /> : <StripPlace />
      }
    >
      <View style={styles.head}>
        <FindWaysOut find={record.id} />
        <Small soft>{t.takenFor(commonName(target))}</Small>
        <Title>{t.placeAndCondition}</Title>
      </View>
      <Around record={record} target={target} />
      <Button
        label={t.goOnToTheCheck}
        style={styles.go}
        onPress={() => router.push({ pathname: '/find/[id]/check', params: { id: record.id } })}
      />
    </Screen>
  );
}

const styles = StyleSheet.create({ head: { marginBottom: space.m }, go: { marginTop: space.m } });
