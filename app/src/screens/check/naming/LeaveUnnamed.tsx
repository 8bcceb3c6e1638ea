import { useRouter } from 'expo-router';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { Body, Heading } from '../../../components';
import { leaveUnnamed } from '../../../notebook/decisions';
import { useAct, useApp } from '../../../notebook/store';
import { t } from '../../../text/en/naming';
import { t as verdictText } from '../../../text/en/verdict';
import { LeaveButtons } from '../verdict/LeaveButtons';
import { styles } from './namingStyles';

/** What a person does with a find that has no name: it is left, now or until later. */
export function LeaveUnnamed({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const router = useRouter();
  const toFind = () => router.replace({ pathname: '/find/[id]', params: { id: record.id } });
  const me = useApp((state) => state.me.person?.id);
  const last = record.decisions.at(-1);
  const leave = (choice: 'leave' | 'later') => {
    // The same decision held twice is one decision.
    if (last?.choice === choice && last.by === me) return toFind();
    void act(leaveUnnamed(record.id, choice)).then((kept) => kept && toFind());
  };
  return (
    <View style={styles.block}>
      <Heading>{verdictText.whatYouDo}</Heading>
      <Body soft>{t.whatHasNoName}</Body>
      <LeaveButtons first onHeld={leave} />
    </View>
  );
}
