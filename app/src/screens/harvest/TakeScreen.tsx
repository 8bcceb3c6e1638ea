import { useRouter } from 'expo-router';
import { View, StyleSheet } from 'react-native';
import type { FindRecord, CompiledTaxon } from '@pause/core';
import {
  weighed,
  usualWeights,
  take,
  mannerFor,
  estimateOf,
  type Take,
  type Weights,
  SCHOOL_SHARES,
} from '@pause/core/harvest/taking';
import { isoOf } from '@pause/core/lib/day';
import { useWide, Small, Button, Screen, Title, Heading, Body, Rule, space, Stack } from '../../components';
import {
  useHarvests,
  placeOfFind,
  weighingsOf,
  takenBefore,
  takenToday,
  lastTaken,
} from '../../notebook/harvests';
import { selectPantry } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { useOwnHarvest } from '../../notebook/useOwnHarvest';
import { useDay, useEaters, placeOf } from '../../notebook/usePlaces';
import { t } from '../../text/en/harvest';
import { weightOf, seenAs, bindsWords, patchWords } from '../../text/harvest';
import { CommonName, upper } from '../../text/names';
import { memberName } from '../../text/people';
import { Ceilings } from './Ceilings';
import { Collected } from './Collected';
import { HarvestQuestions } from './HarvestQuestions';
import { Manner } from './Manner';
import { yieldsOf, questionOf, standingCount } from './questionOf';

/** How much of a find is taken: four ceilings, and the least of them. */
export function TakeScreen() {
  return (
    <Collected render={(record, taxon, part) => <Taking record={record} taxon={taxon} wanted={part} />} />
  );
}

interface TakingProps {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly wanted: string;
}

/** What is asked of the ceilings, from the find, the place, earlier harvests and one's own answers. */
function useTaking({ record, taxon, wanted }: TakingProps) {
  const today = useDay();
  const harvests = useHarvests();
  const me = useApp((state) => state.me.person?.id ?? '');
  const pages = useApp((state) => state.pages.all);
  const pantry = useApp(selectPantry);
  const at = Math.max(
    0,
    taxon.taxon.parts.findIndex((one) => one.part === wanted),
  );
  const part = taxon.taxon.parts[at];
  const { id: own, harvest, save } = useOwnHarvest(record, taxon.id, wanted);
  const placeId = placeOfFind(record);
  const placePage = placeId === undefined ? undefined : pages[placeId];
  const place = placePage?.kind === 'place' ? placeOf(placePage) : undefined;
  const of = { place: placeId, taxon: taxon.id, part: wanted };
  const iso = isoOf(today);
  const weights = weighed(usualWeights(of.part), weighingsOf(harvests, of, me));
  const yields = yieldsOf(pantry, { kingdom: taxon.taxon.kingdom, part }, taxon.id);
  const need = harvest.need;
  const count = standingCount(harvest, record);
  const answer = take(
    questionOf({
      record,
      taxon,
      part: of.part,
      place: place?.fields,
      harvest,
      weights,
      inStore: need && yields.find((one) => Math.abs(need.yield - one.yield) < 1e-6)?.inStore,
      today: iso,
      before: takenBefore(harvests, of, today, own),
      earlier: takenToday(harvests, of, iso, own),
    }),
  );
  return {
    part,
    place,
    harvest,
    save,
    weights,
    yields,
    answer,
    count,
    pieces: count && estimateOf(count, of.part).mid,
    manner: mannerFor(taxon, at, harvest.invader),
    last: lastTaken(harvests, of, today, own),
  };
}

function Taking(props: TakingProps) {
  const { record, taxon, wanted } = props;
  const router = useRouter();
  const wide = useWide();
  const eaters = useEaters().filter(({ fields }) => fields.eatsAlong !== false).length;
  const { part, place, harvest, count, save, weights, yields, answer, pieces, manner, last } =
    useTaking(props);
  const columns = (
    <>
      <View style={[styles.column, wide && styles.grow]}>
        <Answer take={answer} weights={weights} pieces={pieces} />
        {last ? <LastTaken record={record} last={last} /> : null}
        {manner ? <Manner manner={manner} regrowth={taxon.taxon.regrowth?.text} /> : null}
      </View>
      <View style={[styles.column, wide && styles.grow]}>
        <HarvestQuestions
          harvest={harvest}
          count={count}
          part={part ? { id: part.part, name: part.name } : { id: wanted, name: '' }}
          lifeForm={taxon.taxon.regrowth?.lifeForm}
          eaters={Math.max(1, eaters)}
          weights={weights}
          yields={yields}
          save={save}
        />
        <Button
          label={t.lookAgainAtHome}
          tone="outline"
          style={styles.start}
          onPress={() => router.push({ pathname: '/find/[id]/sort', params: { id: record.id } })}
        />
      </View>
    </>
  );
  return (
    <Screen>
      <View>
        <Small soft>{[CommonName(taxon.id), part?.name, place?.name].filter(Boolean).join(' · ')}</Small>
        <Title>{t.howMuch}</Title>
      </View>
      {wide ? <View style={styles.columns}>{columns}</View> : columns}
    </Screen>
  );
}

/** Who took of it here last, when, and how much. */
function LastTaken({
  record,
  last,
}: {
  readonly record: FindRecord;
  readonly last: NonNullable<ReturnType<typeof lastTaken>>;
}) {
  const me = useApp((state) => state.me.person?.id ?? '');
  const group = useApp((state) => state.me.person?.groups.find((one) => one.id === record.group));
  const when = last.daysAgo === 0 ? t.today : t.daysAgo(last.daysAgo);
  const who = last.person === me ? t.you : group ? memberName(group, last.person) : t.somebody;
  return (
    <Small>
      {last.share === undefined
        ? t.takenHereLastBy(when, who)
        : t.takenHereLastPercent(when, who, Math.round(last.share * 100))}
    </Small>
  );
}

/** The amount, the picture, and what would change it. */
function Answer({
  take: answer,
  weights,
  pieces,
}: {
  readonly take: Take;
  readonly weights: Weights;
  readonly pieces: number | undefined;
}) {
  const { grams, patch } = answer;
  return (
    <Stack gap="m">
      <View role="status" aria-label={t.howMuchToTake}>
        <Heading>
          {grams === undefined ? t.notKnownYet : grams === 0 ? t.takeNothing : t.takeUpTo(weightOf(grams))}
        </Heading>
        {grams === undefined || grams === 0 ? null : <Body>{upper(seenAs(grams, weights))}.</Body>}
      </View>
      <Ceilings take={answer} />
      <Body>{bindsWords(answer)}</Body>
      <Rule />
      {patch.reasons.map((reason) => (
        <Small key={reason.code}>{patchWords(reason)}</Small>
      ))}
      {pieces === undefined ? null : (
        <Small soft>
          {t.othersWouldTakeATenth(
            Math.floor(pieces * (SCHOOL_SHARES[0] ?? 0)),
            Math.floor(pieces * (SCHOOL_SHARES[1] ?? 0)),
            Math.floor(pieces * (SCHOOL_SHARES[2] ?? 0)),
          )}
        </Small>
      )}
      <Small soft>{t.weightsAreRoughUntilYou}</Small>
    </Stack>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
