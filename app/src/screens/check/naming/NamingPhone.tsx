import { ScrollView } from 'react-native';
import type { FindRecord } from '@pause/core';
import type { Identification } from '@pause/core/advice/identify';
import { Heading, Screen, Small } from '../../../components';
import { t } from '../../../text/en/naming';
import { styles as check } from '../checkStyles';
import { PhoneHead } from '../phone/PhoneHead';
import { SurenessBar } from '../phone/SurenessBar';
import type { Phone } from '../phone/usePhone';
import { Seen } from '../Seen';
import type { Follow } from '../useToCard';
import { CandidatesBand } from './CandidatesBand';
import { DangerStrip } from './DangerStrip';

interface NamingPhoneProps {
  readonly record: FindRecord;
  readonly identification: Identification;
  readonly question: React.ReactNode;
  readonly candidates: React.ReactNode;
  readonly phone: Phone;
  readonly follow: Follow;
}

/** A phone: what it may be, the question with all its answers, and what is dangerous, on one screen. */
export function NamingPhone({
  record,
  identification,
  question,
  candidates,
  phone,
  follow,
}: NamingPhoneProps) {
  const { barsOpen, toggleBars, onRoom, bar } = phone;
  return (
    <Screen
      panes
      rooms={false}
      strip={
        <>
          {bar ? <SurenessBar {...bar} /> : null}
          <DangerStrip identification={identification} brief />
        </>
      }
    >
      <PhoneHead title={t.whatCouldItBe} />
      <CandidatesBand identification={identification} open={barsOpen} onToggle={toggleBars} />
      <ScrollView
        {...follow}
        style={check.fill}
        contentContainerStyle={check.fitted}
        onLayout={({ nativeEvent: { layout } }) => onRoom(layout)}
      >
        {barsOpen ? candidates : question}
        <Small soft>
          {[record.number ? t.find(record.number) : t.newFind, record.placeNote].filter(Boolean).join(' · ')}
        </Small>
        <Heading>{t.seen}</Heading>
        <Seen record={record} slips />
      </ScrollView>
    </Screen>
  );
}
