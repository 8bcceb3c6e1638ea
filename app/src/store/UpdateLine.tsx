import { StyleSheet, View } from 'react-native';
import { Button } from '../ui/Button';
import { colour, space, stroke } from '../ui/tokens';
import { Small, SmallStrong } from '../ui/Words';
import { useAct, useApp } from './store';
import { takeNewer } from './worker';

/** A newer Pause is offered, where nobody is in the middle of anything. */
export function UpdateLine() {
  const act = useAct();
  const { waiting, othersOpen } = useApp((state) => state.update);
  if (!waiting) return null;
  return (
    <View style={styles.line} role="status">
      <View style={styles.words}>
        <SmallStrong>A newer Pause is on this device</SmallStrong>
        <Small>{othersOpen ? 'Another window of Pause is open. Close it first, then try again.' : 'What you have told stays as it is.'}</Small>
      </View>
      <Button label="Use it now" tone="outline" onPress={() => void takeNewer(act)} />
    </View>
  );
}

const styles = StyleSheet.create({
  line: { flexDirection: 'row', alignItems: 'center', gap: space.m, padding: space.m, backgroundColor: colour.card, borderWidth: stroke.thin, borderColor: colour.ink },
  words: { flex: 1 },
});
