import { useRouter } from 'expo-router';
import { useEffect, useRef } from 'react';
import { StyleSheet } from 'react-native';
import { sameValue, type FindRecord } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { pairCard } from '@pause/core/practice';
import { Button, Small, Row } from '../../components';
import { guide } from '../../deciding/guide';
import { changeContext } from '../../notebook/actions';
import { pairStanding, usePractice } from '../../notebook/practice';
import { useAct, useApp } from '../../notebook/store';
import { useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/practice';
import { practisedWords } from '../../text/practice';

/** In the field: when this pair was practised last. */
export function Practised({ target, other }: { readonly target: string; readonly other: string }) {
  const router = useRouter();
  const { ready, history, now } = usePractice();
  if (!ready) return null;
  const { card, earned } = pairStanding(history, target, other, now);
  return (
    <Row align="centre" gap="m">
      <Small soft style={styles.grow}>
        {practisedWords(card, earned, now)}
      </Small>
      <Button
        label={t.practiseIt}
        tone="plain"
        onPress={() =>
          router.push({
            pathname: '/practice/drill',
            params: { cards: Array.from({ length: 4 }, () => pairCard(target, other)).join(',') },
          })
        }
      />
    </Row>
  );
}

/**
 * Where the group asks for earned pairs, records with the find how well the finder knows them. Shows
 * nothing.
 */
export function SendPractised({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const me = useApp((state) => state.me.person?.id);
  const { ready, history, now } = usePractice();
  const day = isoOf(useDay());
  const target = record.targets.at(-1)?.taxon;
  const lastSent = useRef<unknown>(undefined);
  useEffect(() => {
    const known = target === undefined ? undefined : guide.taxon(target);
    if (!ready || !known || record.person !== me || record.decisions.length > 0) return;
    const practised = known.taxon.lookalikes.flatMap((id) => {
      const { card, earned } = pairStanding(history, known.id, id, now);
      return card ? [{ taxon: id, last: card.last.slice(0, 10), earned }] : [];
    });
    const was = record.context.practised ?? [];
    if (sameValue(practised, was) || sameValue(practised, lastSent.current ?? null)) return;
    lastSent.current = practised;
    void act(changeContext(record.id, { practised }));
    // Once a day is enough for what fades over weeks.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [act, ready, history, target, me, record.context.practised, record.decisions.length, day]);
  return null;
}

const styles = StyleSheet.create({
  grow: { flex: 1 },
});
