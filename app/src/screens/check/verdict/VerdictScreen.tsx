import { useRouter } from 'expo-router';
import type { Reason, FindRecord, Verdict } from '@pause/core';
import { Screen, Loading, Button, Rule } from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import type { Evaluation } from '../../../deciding/evaluate';
import { t } from '../../../text/en/verdict';
import { lowerFirst, characterName, commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { aboutPart } from '../../../text/strip';
import { WarnOthers } from '../late';
import { OpenList } from './OpenList';
import { OwnDecision } from './OwnDecision';
import { Band, Group, InTheWay, SeenFor, LeansOn, Before } from './VerdictParts';

export function VerdictScreen() {
  return (
    <FindFrame
      render={({ record, evaluation, current }) =>
        // A verdict that does not know the newest answer never says collect.
        evaluation && (current || evaluation.verdict.outcome !== 'collect') ? (
          <VerdictView record={record} evaluation={evaluation} />
        ) : (
          <Screen>
            <Loading what={t.comparingWithTheGuide} />
          </Screen>
        )
      }
    />
  );
}

const PLACE = new Set([
  'place-forbidden',
  'place-contaminated',
  'protected',
  'place-doubt',
  'place-strains',
  'not-traced',
]);

/** Looks that spoke against it, even where they have not settled anything yet. */
const SPEAKS_AGAINST = new Set(['contradicted-open', 'other-piece-against', 'stage-disputed']);

/** What is named in the list of what is open. */
const LISTED: ReadonlySet<string> = new Set(['context-missing', 'not-traced', 'not-earned', 'name-open']);

/** What depends on who will eat it. */
const EATER = new Set(['not-for-eater', 'ask-for-eater']);

const aboutPlace = (reason: Reason) =>
  PLACE.has(reason.code) ||
  (reason.code === 'context-missing' &&
    ['permission', 'contamination', 'protection', 'tracedToBase'].includes(reason.field));

/** The reasons of a verdict, by what they are about. */
function sorted({ reasons, rows }: Verdict) {
  const about = (r: Reason) => aboutPlace(r) || EATER.has(r.code);
  const identified = reasons.some(({ code }) => code === 'identified');
  const against = reasons.filter(
    (r) =>
      !(identified && r.code === 'not-wanted') &&
      (r.weight === 'leave' || SPEAKS_AGAINST.has(r.code)) &&
      !about(r) &&
      !aboutPart(r),
  );
  const missing = reasons
    .filter(
      (r) =>
        r.weight === 'pause' &&
        !about(r) &&
        !SPEAKS_AGAINST.has(r.code) &&
        !LISTED.has(r.code) &&
        r.code !== 'signature-missing',
    )
    .sort((a, b) => Number(b.code === 'bars-short') - Number(a.code === 'bars-short'));
  // Of the dangerous ones that are no listed lookalikes, more than a few are named in one line; the check
  // shows them all.
  const unlisted = missing.flatMap((r) =>
    r.code === 'bars-short' && rows.find((row) => row.taxon === r.taxon)?.listed === false ? [r] : [],
  );
  const inOneLine: readonly Reason[] = unlisted.length > MOST_UNLISTED ? unlisted : [];
  const marks = reasons.flatMap((r) =>
    r.code === 'signature-missing' ? [lowerFirst(characterName(r.character))] : [],
  );
  return {
    against,
    missing: missing.filter((r) => !inOneLine.includes(r)),
    /** What is missing besides, in lines of its own. */
    besides: [
      ...(inOneLine.length > 0
        ? [t.ofTheOtherDangerousOnes(unlisted.length, few(unlisted.map((r) => commonName(r.taxon))))]
        : []),
      ...(marks.length > 0 ? [t.itsOwnMarksStillTo(marks.join('; '))] : []),
    ],
    part: reasons.filter(aboutPart),
    // What can be answered is in the list of what is open.
    place: reasons.filter((r) => aboutPlace(r) && !LISTED.has(r.code)),
    eaters: reasons.filter((r) => EATER.has(r.code)),
    // What it is, the head says already.
    notes: reasons.filter((r) => r.weight === 'note' && !aboutPlace(r) && r.code !== 'identified'),
  };
}

const isNotWanted = ({ reasons }: Verdict) => reasons.some(({ code }) => code === 'not-wanted');

const MOST_UNLISTED = 3;

interface VerdictViewProps {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}

function VerdictView({ record, evaluation: { verdict, plan } }: VerdictViewProps) {
  const router = useRouter();
  const { against, missing, besides, part, place, eaters, notes } = sorted(verdict);
  const params = { id: record.id };
  return (
    <Screen>
      <Band verdict={verdict} />
      {isNotWanted(verdict) ? <WarnOthers record={record} verdict={verdict} /> : null}
      {verdict.outcome === 'pause' ? <OpenList record={record} verdict={verdict} plan={plan} /> : null}
      <Group title={t.againstIt} reasons={against} verdict={verdict} />
      <Group
        title={against.length > 0 ? t.alsoStillMissing : t.stillMissing}
        reasons={missing}
        verdict={verdict}
        more={besides}
      />
      <Group title={t.aboutThePart} reasons={part} verdict={verdict} />
      <Group title={t.aboutThePlace} reasons={place} verdict={verdict} />
      <Group title={t.aboutWhoEatsIt} reasons={eaters} verdict={verdict} />
      <InTheWay verdict={verdict} plan={plan} />
      {verdict.outcome === 'leave' && part.length > 0 && against.length === 0 ? (
        <Button
          label={t.goOnWithTheCheck}
          onPress={() => router.push({ pathname: '/find/[id]/check', params })}
        />
      ) : null}
      <SeenFor record={record} verdict={verdict} />
      <LeansOn
        record={record}
        verdict={verdict}
        onAgain={() =>
          router.push({
            pathname: '/find/[id]/check',
            params: { ...params, again: verdict.leansOn.join(',') },
          })
        }
      />
      <Group title={t.whatItDoesNotCover} reasons={notes} verdict={verdict} />
      <Before verdict={verdict} record={record} />
      <Rule strong />
      <OwnDecision record={record} verdict={verdict} />
    </Screen>
  );
}
