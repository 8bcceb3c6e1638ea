import { useRouter } from 'expo-router';
import { StyleSheet, View } from 'react-native';
import { Button, Screen, Small, space, Title } from '../../ui';
import { commonName } from '../../words/names';
import { FindFrame } from '../FindFrame';
import { Around } from './Around';
import { DecisionStrip } from './DecisionStrip';

/** Place, stage, condition and wish, told in one go; each can be left out, and then it says what that costs. */
export function AroundScreen() {
  const router = useRouter();
  return <FindFrame render={({ record, evaluation }) => {
    const target = record.targets.at(-1)?.taxon;
    if (!target) return null;
    return (
      <Screen rooms={false} strip={evaluation ? <DecisionStrip find={record.id} verdict={evaluation.verdict} /> : null}>
        <View style={styles.head}>
          <Small soft>The place speaks first</Small>
          <Title>Around the {commonName(target)}</Title>
        </View>
        <Around record={record} target={target} />
        <Button label="Go on to the check" onPress={() => router.push({ pathname: '/find/[id]/check', params: { id: record.id } })} />
      </Screen>
    );
  }} />;
}

const styles = StyleSheet.create({ head: { marginBottom: space.m } });
