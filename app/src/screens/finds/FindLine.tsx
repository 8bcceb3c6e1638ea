import { Link } from 'expo-router';
import { Pressable, StyleSheet, View } from 'react-native';
import type { FindSummary } from '@pause/core';
import {
  colour,
  OutcomeMark,
  Rule,
  Small,
  SmallStrong,
  space,
  Strong,
  TARGET,
  Grow,
  Row,
} from '../../components';
import { TaxonSmall } from '../../components/plates/late';
import { useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/findLine';
import { CHOICE, CommonName, OUTCOME } from '../../text/names';

/** What is asked of this person blind gives neither name nor outcome away. */
function useBlind({ asked }: FindSummary): boolean {
  return useApp(({ me: { person } }) => person !== undefined && (asked?.includes(person.id) ?? false));
}

/** The first name of whoever of a group made it, where that is somebody else. */
function useFinder(find: FindSummary): string | undefined {
  return useApp(({ me: { person } }) => {
    const group = person?.groups.find((one) => one.id === find.group);
    return group && find.person !== person?.id
      ? group.members.find((m) => m.person === find.person)?.name.split(' ')[0]
      : undefined;
  });
}

function statusOf(find: FindSummary, blind: boolean): string {
  if (blind) return t.blind;
  if (find.differs) return t.differs;
  if (find.choice) return CHOICE[find.choice];
  return find.lookedAgain ? t.secondLookIsHere : t.notDecided;
}

function screenOf(find: FindSummary, blind: boolean) {
  if (blind) return '/find/[id]/second' as const;
  if (find.choice) return '/find/[id]' as const;
  return find.target ? ('/find/[id]/check' as const) : ('/find/[id]/name' as const);
}

const nameOf = ({ target, verbatimIdentification: typed }: FindSummary): string => {
  if (target) return CommonName(target);
  return typed ? t.notInTheGuide(typed) : t.noNameYet;
};

/** A find as one line of the log. Undecided ones lead on to their check. */
export function FindLine({ find, today }: { readonly find: FindSummary; readonly today: Date }) {
  const blind = useBlind(find);
  const by = useFinder(find);
  const outcome = blind ? undefined : find.outcome;
  const name = blind ? t.askedOfYouASecond : nameOf(find);
  return (
    <View role="listitem">
      <Link href={{ pathname: screenOf(find, blind), params: { id: find.id } }} asChild>
        <Pressable role="link" style={styles.line}>
          <TaxonSmall of={blind ? undefined : find.target} />
          <Grow>
            <Row wrap align="baseline" style={styles.words}>
              <Strong numberOfLines={1} style={styles.name}>
                {name}
              </Strong>
              <SmallStrong>{statusOf(find, blind)}</SmallStrong>
            </Row>
            <Small soft numberOfLines={1}>
              {[dayWords(new Date(find.startedAt), today), by, find.placeNote].filter(Boolean).join(' · ')}
            </Small>
          </Grow>
          <View style={styles.mark} role="img" aria-label={outcome ? OUTCOME[outcome] : t.inCheck}>
            {outcome ? (
              <OutcomeMark
                outcome={outcome}
                size={26}
                colour={outcome === 'collect' ? colour.collect : colour.ink}
              />
            ) : (
              <View style={styles.openMark} />
            )}
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
  // In large letters what became of it goes below.
  words: { columnGap: space.m },
  name: { flexGrow: 1, flexShrink: 1 },
});
