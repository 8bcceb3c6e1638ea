import { createContext, memo, use, useMemo, useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import {
  filled,
  short,
  type BarRow,
  type Case,
  type CharacterId,
  type Check,
  type TaxonId,
} from '@pause/core';
import {
  colour,
  corner,
  Rule,
  Small,
  SmallStrong,
  space,
  Strong,
  stroke,
  TARGET,
  Grow,
} from '../../components';
import { Uprights } from '../../components/Uprights';
import { t } from '../../text/en/check';
import { listed } from '../../text/messages';
import {
  characterName,
  CommonName,
  commonName,
  harmLine,
  numberWord,
  readingWords,
  upper,
} from '../../text/names';
import { few } from '../../text/reasons';
import { BesideLink } from './beside/BesideLink';
import { CAUSE } from './causes';
import { Cheapest } from './Cheapest';
import { Parting } from './Parting';

/** What only opened rows need; a closed one is not drawn anew because of it. */
const Now = createContext<Omit<BarsProps, 'rows'> | undefined>(undefined);
/** The bars of each lookalike. Of a row that stays only its bars are drawn anew. */
const BarsByTaxon = createContext<ReadonlyMap<TaxonId, BarRow>>(new Map());

/** One lookalike and the bars against it; opens to show which reading fills each bar. */
const Row = memo(function Row({ taxon }: { readonly taxon: TaxonId }) {
  const [explained, setExplained] = useState(false);
  return (
    <View role="listitem">
      <Pressable
        role="button"
        aria-expanded={explained}
        onPress={() => setExplained(!explained)}
        style={styles.row}
      >
        <Grow>
          <Strong numberOfLines={1}>{CommonName(taxon)}</Strong>
          <Small soft numberOfLines={1}>
            {harmLine(taxon)}
          </Small>
        </Grow>
        <BarsOf taxon={taxon} />
      </Pressable>
      {explained ? <Grounds taxon={taxon} /> : null}
      <Rule />
    </View>
  );
});

function BarsOf({ taxon }: { readonly taxon: TaxonId }) {
  const row = use(BarsByTaxon).get(taxon);
  return row ? (
    <View role="img" aria-label={t.ofBarsFilled(filled(row), row.need)}>
      <Uprights row={row} />
    </View>
  ) : null;
}

function Grounds({ taxon }: { readonly taxon: TaxonId }) {
  const now = use(Now);
  const row = use(BarsByTaxon).get(taxon);
  if (!now || !row) return null;
  const { id, find, parts, checks, onChoose } = now;
  return (
    <View style={styles.grounds}>
      {row.bars.map((bar) => {
        const reading = find.readings.find((r) => r.id === bar.reading);
        const words = `${characterName(bar.character)}: ${reading ? readingWords(reading) : ''}`;
        return (
          <Small key={bar.reading}>
            {bar.causes.length > 0
              ? t.barRestsOn(words, listed(bar.causes.map((cause) => CAUSE[cause])))
              : words}
          </Small>
        );
      })}
      {short(row) > 0 ? (
        <SmallStrong>{t.areStillOpen(upper(numberWord(short(row))), short(row))}</SmallStrong>
      ) : null}
      {short(row) > 0 ? <Cheapest row={row} find={find} checks={checks} onChoose={onChoose} /> : null}
      {row.have > row.need ? <Small soft>{t.andToSpare(numberWord(row.have - row.need))}</Small> : null}
      {row.otherKingdom ? null : <BesideLink find={id} other={row.taxon} />}
      {parts ? <Parting find={find} other={row.taxon} most={6} /> : null}
    </View>
  );
}

interface BarsProps {
  /** Of the find. */
  readonly id: string;
  readonly rows: readonly BarRow[];
  readonly find: Case;
  /** Show what parts them inside an opened row. */
  readonly parts: boolean;
  /** Proposed now; one of them may fill what is open. */
  readonly checks: readonly Check[];
  readonly onChoose: (character: CharacterId) => void;
}

/** Listed lookalikes one by one, the others while they are short; the rest as one calm line. */
export const Bars = memo(function Bars({ id, rows, find, parts, checks, onChoose }: BarsProps) {
  const now = useMemo(() => ({ id, find, parts, checks, onChoose }), [id, find, parts, checks, onChoose]);
  const byTaxon = useMemo(() => new Map(rows.map((row) => [row.taxon, row])), [rows]);
  const [all, setAll] = useState(false);
  const [others, setOthers] = useState(false);
  const listed = rows.filter((row) => row.listed && !row.otherKingdom);
  const unlistedShort = rows.filter((row) => !row.listed && short(row) > 0);
  const done = rows.filter((row) => !row.listed && short(row) === 0);
  const compact = !others && unlistedShort.length > 1 && listed.length > 0;
  const otherKingdom = done.filter((row) => row.otherKingdom).length;
  return (
    <Now value={now}>
      <BarsByTaxon value={byTaxon}>
        <View role="list" aria-label={t.barsAgainstEachLookalike}>
          <Rule />
          {listed.map((row) => (
            <Row key={row.taxon} taxon={row.taxon} />
          ))}
          {compact ? (
            <AlsoOpen rows={unlistedShort} done={done.length} onShow={() => setOthers(true)} />
          ) : (
            unlistedShort.map((row) => <Row key={row.taxon} taxon={row.taxon} />)
          )}
          {done.length > 0 && !compact ? (
            <View role="listitem">
              <Pressable role="button" aria-expanded={all} onPress={() => setAll(!all)} style={styles.line}>
                <Small soft style={styles.name}>
                  {otherKingdom > 0
                    ? t.moreDangerousOnesRuledOutSome(
                        done.length,
                        numberWord(otherKingdom),
                        find.kingdom === 'Fungi',
                      )
                    : t.moreDangerousOnesRuledOut(done.length)}
                </Small>
                <SmallStrong style={styles.more}>{all ? t.hide : t.show}</SmallStrong>
              </Pressable>
            </View>
          ) : null}
          {all ? done.map((row) => <Done key={row.taxon} row={row} />) : null}
        </View>
      </BarsByTaxon>
    </Now>
  );
});

/** Those that are open besides, in one line. */
function AlsoOpen({
  rows,
  done,
  onShow,
}: Pick<BarsProps, 'rows'> & { readonly done: number; readonly onShow: () => void }) {
  const names = few(
    rows.map((row) => commonName(row.taxon)),
    3,
  );
  return (
    <View role="listitem">
      <Pressable role="button" onPress={onShow} style={styles.line}>
        <Grow>
          <Small numberOfLines={2}>
            <SmallStrong>{t.alsoOpen} </SmallStrong>
            {done > 0 ? t.andMoreRuledOut(names, done) : names}
          </Small>
        </Grow>
        <SmallStrong style={styles.more}>{t.show}</SmallStrong>
      </Pressable>
    </View>
  );
}

/** One that is ruled out. */
function Done({ row }: { readonly row: BarsProps['rows'][number] }) {
  return row.otherKingdom ? (
    <Small role="listitem" soft style={styles.kingdom}>
      {t.aFungusIsNoPlant(CommonName(row.taxon))}
    </Small>
  ) : (
    <Row taxon={row.taxon} />
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    alignItems: 'center',
    minHeight: TARGET + 6,
    paddingVertical: space.xs,
    gap: space.m,
  },
  name: { flex: 1 },
  grounds: {
    paddingBottom: space.m,
    paddingLeft: space.m,
    gap: space.xs,
    borderLeftWidth: stroke.thick,
    borderLeftColor: colour.ink,
    marginBottom: space.s,
    borderRadius: corner,
  },
  line: { flexDirection: 'row', alignItems: 'center', minHeight: TARGET, gap: space.m },
  more: { textDecorationLine: 'underline' },
  kingdom: { paddingVertical: space.xs },
});
