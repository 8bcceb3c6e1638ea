import { StyleSheet, View } from 'react-native';
import { useAct, useApp } from '../notebook/store';
import { t } from '../text/en/components';
import { Grow } from './layout';
import { Button, colour, Small, SmallStrong, space, stroke } from '.';

/** A newer Pause is offered, where nobody is in the middle of anything. */
export function UpdateOffer() {
  const act = useAct();
  const othersOpen = useApp((state) => state.update.othersOpen);
  return (
    <View style={styles.line} role="status">
      <Grow>
        <SmallStrong>{t.aNewerPauseIsOn}</SmallStrong>
        <Small>{othersOpen ? t.anotherWindowOfPauseIs : t.whatYouHaveRecordedStays}</Small>
      </Grow>
      <Button
        label={t.useItNow}
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
});
