import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type FindRecord, blindAsk } from '@pause/core';
import { Small, Strong, Button, OutcomeMark, colour, Body } from '../../components';
import { consent } from '../../notebook/decisions';
import { useApp, useAct } from '../../notebook/store';
import { t } from '../../text/en/find';
import { sentences } from '../../text/messages';
import { OUTCOME } from '../../text/names';
import { memberName, readerName } from '../../text/people';
import { stripLine } from '../../text/strip';
import { styles } from './findStyles';

/** The parts of a find on record. */

/** Whose find it is, where it is in a group's notebook. */
export function Shared({ record }: { readonly record: FindRecord }) {
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!group) return null;
  return (
    <Small soft>
      {t.inTheNotebookOf(
        record.person === person?.id ? t.yourFind : t.foundBy(memberName(group, record.person)),
        group.name,
      )}
    </Small>
  );
}

/** Other eyes: who was asked, who looked, and the way to ask. */
export function SecondLooks({ record }: { readonly record: FindRecord }) {
  const router = useRouter();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!record.pieces.length || record.readings.length === 0) return null;
  const params = { id: record.id };
  const looked = [...new Set(record.readings.filter((r) => r.blind === true).map((r) => r.by))];
  const waiting = [...new Set(record.asks.map((ask) => ask.of))].filter((of) => blindAsk(record, of));
  const names = (readers: readonly string[]) => readers.map((of) => readerName(record, group, of)).join(', ');
  return (
    <View style={styles.now}>
      <View style={styles.grow}>
        <Strong>{t.aSecondLook}</Strong>
        <Small soft>
          {sentences(
            looked.length > 0 && t.lookedWithoutKnowingTheAnswers(names(looked)),
            waiting.length > 0 && t.haveBeenAsked(names(waiting), waiting.length),
            looked.length === 0 && waiting.length === 0 && t.nobodyElseHasLookedAt,
          )}
        </Small>
      </View>
      <Button
        label={looked.length > 0 ? t.sideBySide : t.ask}
        tone="outline"
        onPress={() =>
          router.push({ pathname: looked.length > 0 ? '/find/[id]/together' : '/find/[id]/ask', params })
        }
      />
    </View>
  );
}

/** What the notebook reached from all that is on record there, where a verdict made elsewhere was another. */
export function Differs({ record }: { readonly record: FindRecord }) {
  const last = record.verdicts.at(-1);
  if (!last?.arrival) return null;
  const { because, verdict } = last.arrival;
  return (
    <View style={styles.differs} role="note" aria-label={t.theNotebookReachedAnotherVerdict}>
      <OutcomeMark outcome={verdict.outcome} size={30} colour={colour.ink} />
      <View style={styles.grow}>
        <Strong>
          {last.verdict.outcome === verdict.outcome
            ? t.theNotebookSaysTooFor(OUTCOME[verdict.outcome].toLowerCase())
            : t.theNotebookSaysTheDevice(
                OUTCOME[verdict.outcome].toLowerCase(),
                OUTCOME[last.verdict.outcome].toLowerCase(),
              )}
        </Strong>
        <Small>{t.bothAreKept(BECAUSE[because], stripLine(verdict))}</Small>
      </View>
    </View>
  );
}

const BECAUSE = {
  guide: t.itWasDecidedThereBy,
  policy: t.theGroupsRulesWereOther,
  record: t.moreWasOnRecordBy,
  unknown: t.whyIsNotKnown,
} as const;

/** A young member waits for an adult's word, and an adult can give it. */
export function Asked({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  const asked = record.verdicts.at(-1);
  const finder = group?.members.find((m) => m.person === record.person);
  if (!person || !group || !asked || finder?.role !== 'young' || asked.verdict.outcome !== 'collect')
    return null;
  if (record.decisions.some((d) => d.verdict === asked.id)) return null;
  const agreed = record.consents.find((c) => c.verdict === asked.id);
  if (agreed) return <Body>{t.agreedThatCollectsIt(memberName(group, agreed.by), finder.name)}</Body>;
  if (group.role === 'young') return <Body soft>{t.itWaitsForAnAdult}</Body>;
  return (
    <View style={styles.differs}>
      <View style={styles.grow}>
        <Strong>{t.asksWhetherToCollectIt(finder.name)}</Strong>
        <Small>{t.nothingOnRecordSpeaksAgainst}</Small>
      </View>
      <Button label={t.iAgree} tone="outline" onPress={() => void act(consent(record.id, asked.id))} />
    </View>
  );
}
