import { StyleSheet, View } from 'react-native';
import { useAct, useApp } from '../notebook/store';
import { Button, colour, Small, SmallStrong, space, stroke } from '.';

/** A newer Pause is offered, where nobody is in the middle of anything. */
export function UpdateOffer() {
  const act = useAct();
  const othersOpen = useApp((state) => state.update.othersOpen);
  return (
    <View style={styles.line} role="status">
      <View style={styles.words}>
        <SmallStrong>A newer Pause is on this device</SmallStrong>
        <Small>
          {othersOpen
            ? 'Another window of Pause is open. Close it first, then try again.'
            : 'What you have recorded stays as it is.'}
        </Small>
      </View>
      <Button
        label="Use it now"
        tone="outline"
        onPress={() => void import('../notebook/worker').then((worker) => worker.takeNewer(act))}
      />
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    padding: space.m,
    backgroundColor: colour.card,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
  },
  words: { flex: 1 },
});
