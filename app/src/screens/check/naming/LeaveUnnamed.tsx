import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { Body, Heading } from '../../../components';
import { leaveUnnamed } from '../../../notebook/decisions';
import { useAct } from '../../../notebook/store';
import { t } from '../../../text/en/naming';
import { t as verdictText } from '../../../text/en/verdict';
import { HoldButton } from '../verdict/HoldButton';
import { styles } from './namingStyles';

/** What a person does with a find that has no name: it is left, now or until later. */
export function LeaveUnnamed({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const router = useRouter();
  const leave = (choice: 'leave' | 'later') => {
    void act(leaveUnnamed(record.id, choice)).then(
      (kept) => kept && router.replace({ pathname: '/find/[id]', params: { id: record.id } }),
    );
  };
  return (
    <View style={styles.block}>
      <Heading>{verdictText.whatYouDo}</Heading>
      <Body soft>{t.whatHasNoName}</Body>
      <HoldButton
        label={verdictText.iLeaveIt}
        hint={verdictText.holdToRecord}
        tone="ink"
        onHeld={() => leave('leave')}
      />
      <HoldButton
        label={verdictText.iComeBackLater}
        hint={verdictText.holdToRecord}
        tone="outline"
        onHeld={() => leave('later')}
      />
    </View>
  );
}
