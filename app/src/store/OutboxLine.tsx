import { StyleSheet, View } from 'react-native';
import { Button } from '../ui/Button';
import { colour, space, stroke } from '../ui/tokens';
import { Small, SmallStrong } from '../ui/Words';
import { acknowledgeNotKept, acknowledgeRefusals, flush, loadMe } from './actions';
import { useAct, useApp } from './store';

/** Says when something is not yet on record at the server, or was refused, and why. Silent while all is well. */
export function OutboxLine() {
  const act = useAct();
  const { waiting, refused, away, notKept } = useApp((state) => state.outbox);
  const meFailed = useApp((state) => (state.me.status === 'failed' ? state.me.error ?? 'The server does not answer.' : undefined));
  const [first] = refused;
  if (notKept !== undefined) {
    return (
      <View style={styles.line} role="alert">
        <View style={styles.words}>
          <SmallStrong>What you told last was not kept</SmallStrong>
          <Small>{notKept} It does not count: make room, then tell it again.</Small>
        </View>
        <Button label="I have read it" tone="outline" onPress={() => act(acknowledgeNotKept())} />
      </View>
    );
  }
  if (first) {
    return (
      <View style={styles.line} role="alert">
        <View style={styles.words}>
          <SmallStrong>The server refused {refused.length === 1 ? 'an entry' : `${refused.length} entries`}</SmallStrong>
          <Small>{first.reason}</Small>
        </View>
        <Button label="Show the record" tone="outline" onPress={() => act(acknowledgeRefusals())} />
      </View>
    );
  }
  if (away && waiting.length > 0) {
    return (
      <View style={styles.line} role="status">
        <View style={styles.words}>
          <SmallStrong>{waiting.length === 1 ? 'One entry waits' : `${waiting.length} entries wait`} to be sent</SmallStrong>
          <Small>Kept on this device; tried again every few seconds.</Small>
        </View>
        <Button label="Try now" tone="outline" onPress={() => void act(flush())} />
      </View>
    );
  }
  if (meFailed !== undefined) {
    return (
      <View style={styles.line} role="status">
        <View style={styles.words}>
          <SmallStrong>{meFailed}</SmallStrong>
          <Small>Finds cannot be opened until it does.</Small>
        </View>
        <Button label="Try again" tone="outline" onPress={() => void act(loadMe())} />
      </View>
    );
  }
  return null;
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row', alignItems: 'center', gap: space.m, paddingHorizontal: space.l, paddingVertical: space.s,
    backgroundColor: colour.card, borderBottomWidth: stroke.medium, borderBottomColor: colour.ink,
  },
  words: { flex: 1 },
});
