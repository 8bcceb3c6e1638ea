import { Link } from 'expo-router';
import { Pressable, ScrollView, View } from 'react-native';
import { Body, Heading, Rule, Screen, SmallStrong } from '../../components';
import { t } from '../../text/en/check';
import { MostUrgent } from './CheckHeader';
import { type CheckNow, STRIP } from './CheckParts';
import { styles } from './checkStyles';
import { Seen } from './Seen';
import type { Follow } from './useToCard';

/** How the check is laid out: below one another on a phone, in two panes or in three where there is room. */

interface PanesProps extends Pick<CheckNow, 'record' | 'find' | 'evaluation'> {
  readonly header: React.ReactNode;
  readonly bars: React.ReactNode;
  readonly question: React.ReactNode;
  /** Goes to the view that the question is in. */
  readonly follow: Follow;
}

export function ThreePanes({ record, find, evaluation, header, bars, question, follow }: PanesProps) {
  return (
    <Screen panes strip={STRIP}>
      <View style={styles.panes}>
        <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
          {header}
          <Link href={{ pathname: '/find/[id]/around', params: { id: record.id } }} asChild>
            <Pressable role="link" style={styles.topLink}>
              <SmallStrong style={styles.underlined}>{t.placeAndCondition}</SmallStrong>
            </Pressable>
          </Link>
          <Heading>{t.seen}</Heading>
          <Seen record={record} slips />
        </ScrollView>
        <ScrollView style={[styles.pane, styles.middle]} contentContainerStyle={styles.paneContent}>
          <Heading>{t.betweenYouAndIt}</Heading>
          <Body soft>{t.threeGroundsForDeadlyTwo}</Body>
          {bars}
          <MostUrgent id={record.id} find={find} verdict={evaluation.verdict} />
        </ScrollView>
        <ScrollView
          {...follow}
          style={[styles.pane, styles.widePane]}
          contentContainerStyle={styles.paneContent}
        >
          {question}
        </ScrollView>
      </View>
    </Screen>
  );
}

export function TwoPanes({ record, header, bars, question, follow }: PanesProps) {
  return (
    <Screen panes rooms={false} strip={STRIP}>
      <View style={styles.panes}>
        <ScrollView style={styles.pane} contentContainerStyle={styles.paneContent}>
          {header}
          {bars}
          <Heading>{t.seen}</Heading>
          <Seen record={record} slips />
        </ScrollView>
        <ScrollView
          {...follow}
          style={[styles.pane, styles.second]}
          contentContainerStyle={styles.paneContent}
        >
          {question}
        </ScrollView>
      </View>
    </Screen>
  );
}

export function OnePane({ record, header, bars, question, follow }: PanesProps) {
  return (
    <Screen panes rooms={false} strip={STRIP}>
      <ScrollView {...follow} contentContainerStyle={styles.phone}>
        {header}
        {bars}
        <Rule strong style={styles.bleed} />
        {question}
        <Heading>{t.seen}</Heading>
        <Seen record={record} slips />
      </ScrollView>
    </Screen>
  );
}
