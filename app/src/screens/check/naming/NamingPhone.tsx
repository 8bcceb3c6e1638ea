import type { FindRecord } from '@pause/core';
import type { Identification } from '@pause/core/advice/identify';
import { Heading, Small } from '../../../components';
import { t } from '../../../text/en/naming';
import { PhoneScreen } from '../phone/PhoneScreen';
import type { Phone } from '../phone/usePhone';
import { Seen } from '../Seen';
import type { Follow } from '../useToCard';
import { CandidatesBand } from './CandidatesBand';
import { DangerStrip } from './DangerStrip';
import { LeaveUnnamed } from './LeaveUnnamed';
import { whichFind } from './whichFind';

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
  const { barsOpen, toggleBars } = phone;
  return (
    <PhoneScreen
      title={t.whatCouldItBe}
      band={<CandidatesBand identification={identification} open={barsOpen} onToggle={toggleBars} />}
      strip={<DangerStrip identification={identification} brief />}
      phone={phone}
      follow={follow}
    >
      {barsOpen ? candidates : question}
      <Small soft>{whichFind(record)}</Small>
      <Heading>{t.seen}</Heading>
      <Seen record={record} slips />
      <LeaveUnnamed record={record} />
    </PhoneScreen>
  );
}
