import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { standing, type CompiledTaxon, type FieldsOf, type FindRecord } from '@pause/core';
import { isoOf } from '@pause/core/day';
import { pickingAt } from '@pause/core/plans';
import { estimateOf, mannerFor, SCHOOL_SHARES, take, usualWeights, weighed, type Take, type TakeQuestion, type Weights } from '@pause/core/take';
import { guide } from '../../evaluate/guide';
import { useAct, useApp } from '../../store/store';
import { useOpenPages } from '../../store/useOpenPages';
import { CommonName, upper } from '../../words/names';
import { Body, Heading, Loading, Notice, Rule, Screen, Small, space, Title, useWide } from '../../ui';
import { FindFrame } from '../FindFrame';
import { placeOf, useDay, useEaters } from '../outdoors/usePlaces';
import { Ceilings } from './Ceilings';
import { placeOfFind, takenBefore, takenToday, useHarvests, weighingsOf, type Harvest } from './harvests';
import { Manner } from './Manner';
import { Told, type TellHarvest } from './Told';
import { bindsWords, patchWords, seenAs, weightOf } from './words';

/** How much of a find is taken: four ceilings, and the least of them. */
export function TakeScreen() {
  return <FindFrame render={({ record }) => <Opened key={record.id} record={record} />} />;
}

function Opened({ record }: { readonly record: FindRecord }) {
  const ready = useOpenPages();
  const router = useRouter();
  if (!ready) return <Screen><Loading what="Opening the notebook …" /></Screen>;
  const decision = record.decisions.at(-1);
  const taxon = guide.taxon(record.targets.at(-1)?.taxon ?? '');
  if (decision?.choice !== 'collect' || !taxon) {
    return <Screen><Notice title="It is not collected" text="How much to take is asked once you have decided to collect it." action="To the verdict" onAction={() => router.replace({ pathname: '/find/[id]/verdict', params: { id: record.id } })} /></Screen>;
  }
  // What was collected all the same is on record; how much of it is not for Pause to say.
  if (record.verdicts.find(({ id }) => id === decision.verdict)?.verdict.outcome !== 'collect') {
    return <Screen><Notice title="It was collected against the verdict" text="Pause does not say how much of it to take." action="To the verdict" onAction={() => router.replace({ pathname: '/find/[id]/verdict', params: { id: record.id } })} /></Screen>;
  }
  return <Taking record={record} taxon={taxon} />;
}

/** Which of the taxon's parts: the one that was wanted, else the first. */
function partOf(record: FindRecord, { taxon }: CompiledTaxon): number {
  const wanted = taxon.parts.findIndex(({ part, use }) => part === record.context.part && (record.context.use === undefined || use === record.context.use));
  return Math.max(0, wanted);
}

function Taking({ record, taxon }: { readonly record: FindRecord; readonly taxon: CompiledTaxon }) {
  const act = useAct();
  const wide = useWide();
  const today = useDay();
  const harvests = useHarvests();
  const me = useApp((state) => state.me.person?.id ?? '');
  const pages = useApp((state) => state.pages.all);
  const eaters = useEaters().filter(({ fields }) => fields.eatsAlong !== false).length;
  const at = partOf(record, taxon);
  const part = taxon.taxon.parts[at];
  const own = harvests.find(({ fields, person }) => fields.find === record.id && person === me);
  const told: Harvest = own?.fields ?? {};
  const placeId = placeOfFind(record);
  const placePage = placeId === undefined ? undefined : pages[placeId];
  const place = placePage?.kind === 'place' ? placeOf(placePage) : undefined;
  const of = { place: placeId, taxon: taxon.id, part: part?.part ?? '' };
  const iso = isoOf(today);
  const weights = weighed(usualWeights(of.part), weighingsOf(harvests, of, me));
  const question = useMemo(() => questionOf({ record, taxon, part: of.part, place: placePage && standing(placePage, 'place'), told, weights, today: iso, before: takenBefore(harvests, of, today, own?.id), earlier: takenToday(harvests, of, iso, own?.id) }),
    // What it is asked of is made anew at every drawing; it changes with these.
    // eslint-disable-next-line react-hooks/exhaustive-deps
    [record, harvests, placePage, iso]);
  const answer = useMemo(() => take(question), [question]);
  const tell: TellHarvest = (fields) => void import('../../store/outside').then(({ beginPage, tellPage }) => {
    if (own) void act(tellPage(own.id, 'harvest', fields));
    else void act(beginPage('harvest', { find: record.id, ...(placeId === undefined ? {} : { place: placeId }), taxon: taxon.id, part: of.part, on: iso, ...fields }, record.group));
  });
  const manner = mannerFor(taxon, at, told.invader);
  const left = (
    <View style={[styles.column, wide && styles.grow]}>
      <Answer take={answer} weights={weights} pieces={told.count && estimateOf(told.count).mid} />
      {manner ? <Manner manner={manner} regrowth={taxon.taxon.regrowth?.text} /> : null}
    </View>
  );
  const right = <View style={[styles.column, wide && styles.grow]}><Told told={told} part={part?.name ?? ''} eaters={Math.max(1, eaters)} weights={weights} tell={tell} /></View>;
  return (
    <Screen>
      <View>
        <Small soft>{[CommonName(taxon.id), part?.name, place?.name].filter(Boolean).join(' · ')}</Small>
        <Title>How much</Title>
      </View>
      {wide ? <View style={styles.columns}>{left}{right}</View> : <>{left}{right}</>}
    </Screen>
  );
}

interface Asked {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly part: string;
  readonly place: Partial<FieldsOf<'place'>> | undefined;
  readonly told: Harvest;
  readonly weights: Weights;
  readonly today: string;
  readonly before: NonNullable<TakeQuestion['patch']['taken']>;
  readonly earlier: NonNullable<TakeQuestion['takenToday']>;
}

/** What was told, as the core is asked. A place that says what one may pick stands before what was told of the find. */
function questionOf({ record, taxon, part, place, told, weights, today, before, earlier }: Asked): TakeQuestion {
  const picking = place && pickingAt(place, taxon.id, part, today);
  return {
    ...(told.need ? { need: told.need } : {}),
    patch: { lifeForm: taxon.taxon.regrowth?.lifeForm, part, ...(told.count ? { count: estimateOf(told.count) } : {}), invader: told.invader === true, taken: before },
    permission: picking && picking.permission !== 'unknown' ? picking.permission : record.context.permission ?? 'unknown', ...(picking?.perDay ? { perDay: picking.perDay } : {}),
    persons: told.persons ?? 1, takenToday: earlier, ...(told.hands ? { hands: told.hands } : {}), weights,
  };
}

/** The amount, the picture, and what would change it. */
function Answer({ take: answer, weights, pieces }: { readonly take: Take; readonly weights: Weights; readonly pieces: number | undefined }) {
  const { grams, patch } = answer;
  return (
    <View style={styles.block}>
      <View role="status" aria-label="How much to take">
        <Heading>{grams === undefined ? 'Not known yet' : grams === 0 ? 'Take nothing' : `Take up to ${weightOf(grams)}`}</Heading>
        {grams === undefined || grams === 0 ? null : <Body>{upper(seenAs(grams, weights))}.</Body>}
      </View>
      <Ceilings take={answer} />
      <Body>{bindsWords(answer)}</Body>
      <Rule />
      {patch.reasons.map((reason) => <Small key={reason.code}>{patchWords(reason)}</Small>)}
      {pieces === undefined ? null : <Small soft>Others would take a tenth ({Math.floor(pieces * (SCHOOL_SHARES[0] ?? 0))}), a quarter ({Math.floor(pieces * (SCHOOL_SHARES[1] ?? 0))}) or a third ({Math.floor(pieces * (SCHOOL_SHARES[2] ?? 0))}), whatever it is.</Small>}
      <Small soft>Weights are rough until you weigh one yourself; rates of growing back are general, and of no patch that anybody measured.</Small>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.m },
});
