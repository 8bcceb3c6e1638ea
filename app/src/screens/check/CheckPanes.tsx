import { Link } from 'expo-router';
import { Pressable, ScrollView, useWindowDimensions, View } from 'react-native';
import type { PieceId } from '@pause/core';
import { Body, Heading, Rule, Screen, SmallStrong } from '../../components';
import { t } from '../../text/en/check';
import { FindDetails, Low, MostUrgent, titleOf } from './CheckHeader';
import { type CheckNow, PHONE_STRIP, STRIP } from './CheckParts';
import { styles } from './checkStyles';
import { BarsBand } from './phone/BarsBand';
import { PhoneScreen } from './phone/PhoneScreen';
import { LEAST_HEIGHT, type Phone } from './phone/usePhone';
import { Seen } from './Seen';
import type { Follow } from './useToCard';

/** How the check is laid out: below one another on a phone, in two panes or in three where there is room. */

interface PanesProps extends Pick<CheckNow, 'record' | 'find' | 'evaluation'> {
  readonly piece: PieceId;
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
          <Body soft>{t.aBarIsAProof}</Body>
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

/** Where letters are large or the screen is low, all of it scrolls; it starts at the question. */
export function OnePane({ record, find, piece, evaluation, bars, question, follow }: PanesProps) {
  const low = useWindowDimensions().height < LEAST_HEIGHT;
  return (
    <Screen panes rooms={false} strip={low ? PHONE_STRIP : STRIP}>
      <ScrollView {...follow} contentContainerStyle={styles.phone}>
        <Low record={record} find={find} piece={piece} title={titleOf(evaluation.verdict)}>
          {question}
          <Rule strong style={styles.bleed} />
          {bars}
        </Low>
        <Heading>{t.seen}</Heading>
        <Seen record={record} slips />
      </ScrollView>
    </Screen>
  );
}

/** A phone: bars, question with all its answers, and verdict on one screen; the rest below them. */
export function PhonePane({
  record,
  find,
  piece,
  evaluation,
  bars,
  question,
  follow,
  phone,
}: PanesProps & PhoneProps) {
  const { barsOpen, toggleBars } = phone;
  return (
    <PhoneScreen
      title={titleOf(evaluation.verdict)}
      band={<BarsBand open={barsOpen} onToggle={toggleBars} />}
      strip={PHONE_STRIP}
      phone={phone}
      follow={follow}
    >
      {barsOpen ? (
        <>
          <Body soft>{t.aBarIsAProof}</Body>
          {bars}
        </>
      ) : null}
      {question}
      <FindDetails record={record} find={find} piece={piece} />
      <Heading>{t.seen}</Heading>
      <Seen record={record} slips />
    </PhoneScreen>
  );
}

interface PhoneProps {
  readonly phone: Phone;
}
