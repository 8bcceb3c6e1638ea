import { useRouter } from 'expo-router';
import type { Reason, FindRecord } from '@pause/core';
import { Screen, Loading, Button, Rule } from '../../../components';
import { FindFrame } from '../../../components/FindFrame';
import type { Evaluation } from '../../../deciding/evaluate';
import { t } from '../../../text/en/verdict';
import { lowerFirst, characterName, commonName } from '../../../text/names';
import { few } from '../../../text/reasons';
import { aboutPart } from '../../../text/strip';
import { OwnDecision } from './OwnDecision';
import { Band, Group, WouldChange, SeenFor, LeansOn, Before } from './VerdictParts';

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

/** What depends on who will eat it. */
const EATER = new Set(['not-for-eater', 'ask-for-eater']);

const aboutPlace = (reason: Reason) =>
  PLACE.has(reason.code) ||
  (reason.code === 'context-missing' &&
    ['permission', 'contamination', 'protection', 'tracedToBase'].includes(reason.field));

function VerdictView({
  record,
  evaluation: { verdict, plan },
}: {
  readonly record: FindRecord;
  readonly evaluation: Evaluation;
}) {
  const router = useRouter();
  const against = verdict.reasons.filter(
    (r) =>
      (r.weight === 'leave' || SPEAKS_AGAINST.has(r.code)) &&
      !aboutPlace(r) &&
      !aboutPart(r) &&
      !EATER.has(r.code),
  );
  const missing = verdict.reasons
    .filter(
      (r) =>
        r.weight === 'pause' &&
        !aboutPlace(r) &&
        !SPEAKS_AGAINST.has(r.code) &&
        r.code !== 'signature-missing' &&
        !EATER.has(r.code),
    )
    .sort((a, b) => Number(b.code === 'bars-short') - Number(a.code === 'bars-short'));
  // Of the dangerous ones that are no listed lookalikes, more than a few are named in one line; the check
  // shows them all.
  const unlisted = missing.flatMap((r) =>
    r.code === 'bars-short' && verdict.rows.find((row) => row.taxon === r.taxon)?.listed === false ? [r] : [],
  );
  const named =
    unlisted.length > 3 ? missing.filter((r) => !(unlisted as readonly Reason[]).includes(r)) : missing;
  const marks = verdict.reasons.flatMap((r) =>
    r.code === 'signature-missing' ? [lowerFirst(characterName(r.character))] : [],
  );
  const place = verdict.reasons.filter(aboutPlace);
  const part = verdict.reasons.filter(aboutPart);
  const notes = verdict.reasons.filter((r) => r.weight === 'note' && !aboutPlace(r));
  const toCheck = () => router.push({ pathname: '/find/[id]/check', params: { id: record.id } });
  return (
    <Screen>
      <Band verdict={verdict} />
      <Group title={t.againstIt} reasons={against} verdict={verdict} />
      <Group
        title={against.length > 0 ? t.alsoStillMissing : t.stillMissing}
        reasons={named}
        verdict={verdict}
        more={[
          ...(named === missing
            ? []
            : [t.ofTheOtherDangerousOnes(unlisted.length, few(unlisted.map((r) => commonName(r.taxon))))]),
          ...(marks.length > 0 ? [t.itsOwnMarksStillTo(marks.join('; '))] : []),
        ]}
      />
      <Group title={t.aboutThePart} reasons={part} verdict={verdict} />
      <Group title={t.aboutThePlace} reasons={place} verdict={verdict} />
      <Group
        title={t.aboutWhoEatsIt}
        reasons={verdict.reasons.filter((r) => EATER.has(r.code))}
        verdict={verdict}
      />
      <WouldChange verdict={verdict} plan={plan} />
      {verdict.outcome === 'pause' || (part.length > 0 && against.length === 0) ? (
        <Button label={t.goOnWithTheCheck} onPress={toCheck} />
      ) : null}
      <SeenFor record={record} verdict={verdict} />
      <LeansOn
        record={record}
        verdict={verdict}
        onAgain={() =>
          router.push({
            pathname: '/find/[id]/check',
            params: { id: record.id, again: verdict.leansOn.join(',') },
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
