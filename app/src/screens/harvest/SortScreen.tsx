import { useRouter } from 'expo-router';
import { View } from 'react-native';
import { type FindRecord, type CompiledTaxon, countOf } from '@pause/core';
import {
  type Sorting,
  USUAL_STRAYS,
  UNCHECKED_STRAYS,
  detectionWith,
  basketState,
} from '@pause/core/harvest/sorting';
import { useWide, Body, Small, Button, Heading, Screen, Title } from '../../components';
import { inTheSameBag, useHarvests } from '../../notebook/harvests';
import { useOwnRates } from '../../notebook/ownRates';
import { useCase } from '../../notebook/useCase';
import { useOwnHarvest } from '../../notebook/useOwnHarvest';
import { t } from '../../text/en/harvest';
import { commonName, CommonName } from '../../text/names';
import { usePieceCheck, PieceLines } from '../check/pieces/PieceLines';
import { Collected } from './Collected';
import { BasketState, Pieces, Strays } from './SortParts';
import { type Change, type SortingField, worstOf, Pass } from './SortPass';
import { styles } from './sortStyles';

/**
 * Looking again at home, in good light: every piece, pass after pass, until what may be left is little enough
 * for what it would do.
 */
export function SortScreen() {
  return <Collected render={(record, taxon, part) => <Sort record={record} taxon={taxon} part={part} />} />;
}

/**
 * What is on record, as the core is asked. What was gone through piece by piece where it grew is less likely to
 * hold strays; whoever misreads more than is usual finds fewer.
 */
export function sortingOf({ pieces, found }: SortingField, checkedOutside: number, slip?: number): Sorting {
  return {
    pieces,
    found,
    strays: checkedOutside >= pieces / 2 ? USUAL_STRAYS : UNCHECKED_STRAYS,
    ...(slip === undefined ? {} : { detection: detectionWith(slip) }),
  };
}

interface SortProps {
  readonly record: FindRecord;
  readonly taxon: CompiledTaxon;
  readonly part: string;
}

function Sort({ record, taxon, part }: SortProps) {
  const wide = useWide();
  const find = useCase(record);
  const check = usePieceCheck(find);
  const columns = (
    <>
      <View style={[styles.column, wide && styles.grow]}>
        <Basket record={record} taxon={taxon} part={part} check={check} />
      </View>
      {check?.feasible && find ? (
        <View style={[styles.block, wide && styles.grow]}>
          {check.checks.length === 0 ? null : <Heading>{t.onEachPieceEveryOne}</Heading>}
          <PieceLines check={check} find={find} />
        </View>
      ) : check ? (
        <View style={wide && styles.grow}>
          <Body>{t.noQuickCheckPartsThe}</Body>
        </View>
      ) : null}
    </>
  );
  return (
    <Screen>
      <View>
        <Small soft>{t.atHome(CommonName(taxon.id))}</Small>
        <Title>{t.lookAgain}</Title>
      </View>
      {wide ? <View style={styles.columns}>{columns}</View> : columns}
    </Screen>
  );
}

/** How the basket stands, and going through it. */
function Basket({
  record,
  taxon,
  part,
  check,
}: SortProps & { readonly check: ReturnType<typeof usePieceCheck> }) {
  const router = useRouter();
  const { id, harvest, save, settled } = useOwnHarvest(record, taxon.id, part);
  const { sorting } = harvest;
  const rates = useOwnRates();
  // Only what this person was seen to read says how they do.
  const slip =
    check?.feasible && check.checks.some(({ character }) => rates?.has(character))
      ? check.slips.at(-1)?.share
      : undefined;
  const beside = inTheSameBag(useHarvests(), id);
  const change: Change = (make) => save(({ sorting: now }) => (now ? { sorting: make(now) } : {}));
  const state =
    sorting && basketState(sortingOf(sorting, countOf(record).passed, slip), worstOf(taxon), sorting.grades);
  return (
    <>
      {sorting && state ? (
        <BasketState sorting={sorting} state={state} worst={worstOf(taxon)} />
      ) : (
        <Body>{t.tipEverythingOutOnSomething}</Body>
      )}
      {beside.length > 0 ? (
        <Small>
          {t.inTheSameBagWhat(beside.map(({ fields }) => commonName(fields.taxon ?? '')).join(', '))}
        </Small>
      ) : null}
      <Pieces sorting={sorting} save={save} />
      {sorting ? (
        <Pass record={record} taxon={taxon} sorting={sorting} change={change} settled={settled} />
      ) : null}
      {id !== undefined && state?.state === 'gone-through' ? (
        <Button
          label={t.makeSomethingOfIt}
          style={styles.start}
          onPress={() => router.push({ pathname: '/batch/new', params: { from: id } })}
        />
      ) : null}
      {sorting && sorting.grades.length > 0 ? <Strays sorting={sorting} change={change} /> : null}
    </>
  );
}
