import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { filled, short, type Bar, type BarRow, type Case } from '@pause/core';
import { characterName, characterOf, CommonName, commonName, harmLine, numberWord, readingWords, upper } from '../../words/names';
import { few } from '../../words/reasons';
import { BesideLink } from '../beside/BesideScreen';
import { Parting } from './Parting';
import { colour, corner, OrganGlyph, Rule, Small, SmallStrong, space, Strong, stroke, TARGET } from '../../ui';

/** One upright: filled where there is a ground, open where one is missing. */
function Upright({ bar, size }: { readonly bar: Bar | undefined; readonly size: 'large' | 'small' }) {
  const organ = bar ? characterOf(bar.character)?.organ ?? 'flesh' : '';
  const shape = size === 'large' ? styles.upright : styles.uprightSmall;
  if (!bar) return <View style={[shape, size === 'large' ? styles.open : styles.openSmall]} />;
  return (
    <View style={[shape, styles.filled]}>
      {size === 'large' ? <OrganGlyph organ={organ} size={14} colour={colour.onDark} /> : null}
    </View>
  );
}

export function Uprights({ row, size = 'large' }: { readonly row: BarRow; readonly size?: 'large' | 'small' }) {
  return (
    <View style={styles.uprights}>
      {Array.from({ length: row.need }, (_, index) => <Upright key={index} bar={row.bars[index]} size={size} />)}
    </View>
  );
}

function spoken(row: BarRow): string {
  return `${CommonName(row.taxon)}, ${harmLine(row.taxon)}: ${filled(row)} of ${row.need} bars filled`;
}

/** One lookalike and what stands between it and the find; opens to show which reading fills each bar. */
function Row({ id, row, find, parts }: { readonly id: string; readonly row: BarRow; readonly find: Case; readonly parts: boolean }) {
  const [told, setTold] = useState(false);
  return (
    <View>
      <Pressable role="button" aria-expanded={told} aria-label={spoken(row)} onPress={() => setTold(!told)} style={styles.row}>
        <View style={styles.name}>
          <Strong numberOfLines={1}>{CommonName(row.taxon)}</Strong>
          <Small soft numberOfLines={1}>{harmLine(row.taxon)}</Small>
        </View>
        <Uprights row={row} />
      </Pressable>
      {told ? (
        <View style={styles.grounds}>
          {row.bars.map((bar) => {
            const reading = find.readings.find((r) => r.id === bar.reading);
            return (
              <Small key={bar.reading}>
                {characterName(bar.character)}: {reading ? readingWords(reading) : ''}
                {bar.causes.length > 0 ? ` (rests on ${bar.causes.join(' and ')})` : ''}
              </Small>
            );
          })}
          {short(row) > 0 ? (
            <SmallStrong>{upper(numberWord(short(row)))} {short(row) === 1 ? 'is' : 'are'} still open.</SmallStrong>
          ) : null}
          {row.have > row.need ? <Small soft>And {numberWord(row.have - row.need)} to spare.</Small> : null}
          {row.otherKingdom ? null : <BesideLink find={id} other={row.taxon} />}
          {parts ? <Parting find={find} other={row.taxon} most={6} /> : null}
        </View>
      ) : null}
      <Rule />
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
}

/** Listed lookalikes one by one, the others while they are short; the rest as one calm line. */
export function Bars({ id, rows, find, parts }: BarsProps) {
  const [all, setAll] = useState(false);
  const [others, setOthers] = useState(false);
  const listed = rows.filter((row) => row.listed && !row.otherKingdom);
  const unlistedShort = rows.filter((row) => !row.listed && short(row) > 0);
  const done = rows.filter((row) => !row.listed && short(row) === 0);
  const compact = !others && unlistedShort.length > 1 && listed.length > 0;
  const otherKingdom = done.filter((row) => row.otherKingdom).length;
  return (
    <View role="list" aria-label="Bars against each lookalike">
      <Rule />
      {listed.map((row) => <Row key={row.taxon} id={id} row={row} find={find} parts={parts} />)}
      {compact ? (
        <Pressable role="button" aria-label={`Show ${unlistedShort.length} others that are not ruled out`} onPress={() => setOthers(true)} style={styles.line}>
          <View style={styles.name}>
            <Small numberOfLines={2}>
              <SmallStrong>Also open: </SmallStrong>{few(unlistedShort.map((row) => commonName(row.taxon)), 3)}{done.length > 0 ? `; ${done.length} more ruled out` : ''}
            </Small>
          </View>
          <SmallStrong style={styles.more}>show</SmallStrong>
        </Pressable>
      ) : unlistedShort.map((row) => <Row key={row.taxon} id={id} row={row} find={find} parts={parts} />)}
      {done.length > 0 && !compact ? (
        <Pressable role="button" aria-expanded={all} onPress={() => setAll(!all)} style={styles.line}>
          <Small soft style={styles.name}>
            {done.length} more dangerous {done.length === 1 ? 'one' : 'ones'} ruled out
            {otherKingdom > 0 ? `, ${numberWord(otherKingdom)} of the other kingdom` : ''}
          </Small>
          <SmallStrong style={styles.more}>{all ? 'hide' : 'show'}</SmallStrong>
        </Pressable>
      ) : null}
      {all ? done.map((row) => (
        row.otherKingdom
          ? <Small key={row.taxon} soft style={styles.kingdom}>{CommonName(row.taxon)}: a fungus is no plant</Small>
          : <Row key={row.taxon} id={id} row={row} find={find} parts={parts} />
      )) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', minHeight: TARGET + 6, paddingVertical: space.xs, gap: space.m },
  name: { flex: 1 },
  uprights: { flexDirection: 'row', gap: 9 },
  upright: { width: 15, height: 38, borderRadius: 2, alignItems: 'center', justifyContent: 'center' },
  uprightSmall: { width: 8, height: 20, borderRadius: 1.5 },
  filled: { backgroundColor: colour.ink },
  open: { borderWidth: stroke.medium, borderStyle: 'dashed', borderColor: colour.ink },
  openSmall: { borderWidth: stroke.thin, borderColor: colour.ink },
  grounds: { paddingBottom: space.m, paddingLeft: space.m, gap: space.xs, borderLeftWidth: stroke.thick, borderLeftColor: colour.ink, marginBottom: space.s, borderRadius: corner },
  line: { flexDirection: 'row', alignItems: 'center', minHeight: TARGET, gap: space.m },
  more: { textDecorationLine: 'underline' },
  kingdom: { paddingVertical: space.xs },
});
