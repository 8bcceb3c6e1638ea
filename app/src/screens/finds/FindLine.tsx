import { Link } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import type { FindSummary } from '@pause/core';
import { colour, OutcomeMark, Rule, Small, SmallStrong, space, Strong, TARGET } from '../../components';
import { useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/findLine';
import { CHOICE, CommonName, OUTCOME } from '../../text/names';

/** A find as one line of the log. Undecided ones lead on to their check. */
export function FindLine({ find, today }: { readonly find: FindSummary; readonly today: Date }) {
  const blind = useApp(
    ({ me: { person } }) => person !== undefined && (find.asked?.includes(person.id) ?? false),
  );
  const name = blind ? t.askedOfYouASecond : find.target ? CommonName(find.target) : t.noNameYet;
  const by = useApp(({ me: { person } }) => {
    const group = person?.groups.find((one) => one.id === find.group);
    return group && find.person !== person?.id
      ? group.members.find((m) => m.person === find.person)?.name.split(' ')[0]
      : undefined;
  });
  const status = blind
    ? t.blind
    : find.differs
      ? t.differs
      : find.choice
        ? CHOICE[find.choice]
        : t.notDecided;
  const pathname = blind
    ? ('/find/[id]/second' as const)
    : find.choice
      ? ('/find/[id]' as const)
      : find.target
        ? ('/find/[id]/check' as const)
        : ('/find/[id]/name' as const);
  return (
    <View role="listitem">
      <Link href={{ pathname, params: { id: find.id } }} asChild>
        <Pressable role="link" style={styles.line}>
          <View
            style={styles.mark}
            role="img"
            aria-label={find.outcome && !blind ? OUTCOME[find.outcome] : t.inCheck}
          >
            {find.outcome && !blind ? (
              <OutcomeMark
                outcome={find.outcome}
                size={26}
                colour={find.outcome === 'collect' ? colour.collect : colour.ink}
              />
            ) : (
              <View style={styles.openMark} />
            )}
          </View>
          <View style={styles.words}>
            <View style={styles.first}>
              <Strong numberOfLines={1} style={styles.grow}>
                {name}
              </Strong>
              <SmallStrong>{status}</SmallStrong>
            </View>
            <Small soft numberOfLines={1}>
              {[dayWords(new Date(find.startedAt), today), by, find.placeNote].filter(Boolean).join(' · ')}
            </Small>
          </View>
        </Pressable>
      </Link>
      <Rule />
    </View>
  );
}

const styles = StyleSheet.create({
  line: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 18,
    paddingVertical: space.s,
  },
  mark: { width: 30, alignItems: 'center' },
  openMark: {
    width: 18,
    height: 24,
    borderWidth: 2,
    borderStyle: 'dashed',
    borderColor: colour.ink,
    borderRadius: 2,
  },
  words: { flex: 1 },
  first: { flexDirection: 'row', gap: space.m, alignItems: 'baseline' },
  grow: { flex: 1 },
});
