import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { caseOf, filled, partings, relationOverall, short, viewCase, type BarRow, type Case, type CompiledTaxon, type Parting, type StageId } from '@pause/core';
import type { Evaluation } from '../../evaluate/evaluate';
import { guide } from '../../evaluate/guide';
import { characterName, CommonName, commonName, harmLine, numberWord, scientificName, stageName } from '../../words/names';
import { Body, Button, colour, Heading, Loading, Notice, OrganGlyph, Rule, Screen, Small, SmallStrong, space, Strong, stroke, TARGET, Title, useWide } from '../../ui';
import { Uprights } from '../check/Bars';
import { FindFrame, type FindProps } from '../FindFrame';
import { TaxonDrawing } from '../plate/TaxonDrawing';
import { StatePicture } from './StatePicture';

/** Target and lookalike side by side, where they part and what this find was read to be. */
export function BesideScreen() {
  return <FindFrame render={({ record, evaluation }) => (
    evaluation ? <Beside record={record} evaluation={evaluation} /> : <Screen><Loading what="Comparing with the guide …" /></Screen>
  )} />;
}

function Beside({ record, evaluation }: FindProps & { readonly evaluation: Evaluation }) {
  const router = useRouter();
  const { other } = useLocalSearchParams<{ other?: string }>();
  const [asked, setAsked] = useState(other);
  const find = useMemo(() => caseOf(record, guide), [record]);
  // Those named as lookalikes, and whatever else is not ruled out yet.
  const rows = evaluation.verdict.rows.filter((row) => !row.otherKingdom && (row.listed || short(row) > 0 || row.taxon === other));
  const at = Math.max(0, rows.findIndex((row) => row.taxon === asked));
  const row = rows[at];
  const target = find && guide.taxon(find.target);
  const lookalike = row && guide.taxon(row.taxon);
  const check = () => router.replace({ pathname: '/find/[id]/check', params: { id: record.id } });
  if (!find || !target || !row || !lookalike) {
    return <Screen><Notice title="Nothing to put beside it" text="The guide knows nothing dangerous that is not ruled out, and names no lookalike." action="Back to the check" onAction={check} /></Screen>;
  }
  const strip = (
    <View style={styles.strip}>
      <Button label="The check" tone="outline" style={styles.way} onPress={check} />
      {rows.length > 1 ? <Button label={`Next of ${rows.length}`} style={styles.way} onPress={() => setAsked(rows[(at + 1) % rows.length]?.taxon)} /> : null}
    </View>
  );
  return (
    <Screen panes rooms={false} strip={strip}>
      <ScrollView contentContainerStyle={styles.page}>
        <View style={styles.sheet}>
          <Small soft>Side by side · {at + 1} of {rows.length}</Small>
          <Title>Where they part</Title>
          <Names target={target} row={row} />
          <Drawings find={find} target={target} other={lookalike} />
          <Rule strong />
          <Differences key={row.taxon} find={find} target={target} other={lookalike} />
        </View>
      </ScrollView>
    </Screen>
  );
}

function Names({ target, row }: { readonly target: CompiledTaxon; readonly row: BarRow }) {
  return (
    <View style={styles.names}>
      <View style={styles.half}>
        <Heading>{CommonName(target.id)}</Heading>
        <Small soft style={styles.scientific}>{scientificName(target.id)}</Small>
        <Small soft>what you take it for</Small>
      </View>
      <View style={[styles.half, styles.right]}>
        <Heading>{CommonName(row.taxon)}</Heading>
        <Small soft style={styles.scientific}>{scientificName(row.taxon)}</Small>
        <Small soft>{harmLine(row.taxon)}</Small>
        <View style={styles.bars} role="img" aria-label={`${filled(row)} of ${row.need} bars filled`}><Uprights row={row} /></View>
      </View>
    </View>
  );
}

/** Both as a whole, at the stage of the find; the parts in which they differ in the accent. */
function Drawings({ find, target, other }: { readonly find: Case; readonly target: CompiledTaxon; readonly other: CompiledTaxon }) {
  const stages = find.context.stages;
  const parted = useMemo(() => new Set<string>(partings(guide, target, other, stages).map((parting) => parting.character)), [target, other, stages]);
  const stageOf = (taxon: CompiledTaxon): StageId | undefined => stages?.find((stage) => taxon.taxon.stages.includes(stage)) ?? taxon.taxon.stages[Math.min(1, taxon.taxon.stages.length - 1)];
  return (
    <View style={styles.pair}>
      {[target, other].map((taxon, i) => {
        const stage = stageOf(taxon);
        return (
          <View key={taxon.id} style={[styles.half, i === 1 && styles.right]}>
            {stage ? <TaxonDrawing taxon={taxon} stage={stage} height={200} accent={parted} /> : null}
            {stage ? <Small soft style={styles.centred}>{stageName(stage)}</Small> : null}
          </View>
        );
      })}
    </View>
  );
}

/** Not read yet comes first: it is what can still tell them apart. */
function Differences({ find, target, other }: { readonly find: Case; readonly target: CompiledTaxon; readonly other: CompiledTaxon }) {
  const [all, setAll] = useState(false);
  const stages = find.context.stages;
  const parts = partings(guide, target, other, stages);
  const view = viewCase(guide, find);
  const read = (parting: Parting) => view.looks.filter((look) => look.character.id === parting.character);
  const open = parts.filter((parting) => read(parting).length === 0);
  const seen = parts.filter((parting) => read(parting).length > 0);
  if (parts.length === 0) return <Body soft>At this stage the guide names nothing that always parts them. That is a reason to leave it.</Body>;
  const shown = all ? open : open.slice(0, FIRST);
  return (
    <View style={styles.list}>
      {shown.map((parting) => <Difference key={parting.character} parting={parting} />)}
      {open.length > shown.length ? <Button label={`Show ${numberWord(open.length - shown.length)} more`} tone="outline" onPress={() => setAll(true)} style={styles.more} /> : null}
      {seen.length > 0 ? <Heading style={styles.seen}>Read on this find</Heading> : null}
      {seen.map((parting) => {
        const against = read(parting).some((look) => relationOverall(look, other) === 'against');
        return <Difference key={parting.character} parting={parting} read={against ? `Read so, and it speaks against ${commonName(other.id)}` : `Read, and it does not speak against ${commonName(other.id)}`} />;
      })}
    </View>
  );
}
const FIRST = 6;

function Difference({ parting, read }: { readonly parting: Parting; readonly read?: string }) {
  const wide = useWide();
  const organ = guide.character(parting.character)?.character.organ ?? '';
  return (
    <View role="group" aria-label={characterName(parting.character)} style={styles.difference}>
      <View style={styles.what}>
        <OrganGlyph organ={organ} size={20} colour={colour.ink} />
        <Strong>{characterName(parting.character)}</Strong>
      </View>
      <View style={styles.pair}>
        <StatePicture character={parting.character} states={parting.target} height={wide ? 110 : 92} />
        <View style={styles.between} />
        <StatePicture character={parting.character} states={parting.other} height={wide ? 110 : 92} />
      </View>
      {read ? <SmallStrong style={styles.read}>{read}</SmallStrong> : null}
      <Rule />
    </View>
  );
}

/** A way to this screen, from wherever a lookalike is named. */
export function BesideLink({ find, other }: { readonly find: string; readonly other: string }) {
  const router = useRouter();
  return (
    <Pressable role="link" onPress={() => router.push({ pathname: '/find/[id]/beside', params: { id: find, other } })} style={styles.link}>
      <SmallStrong style={styles.underlined}>Side by side</SmallStrong>
    </Pressable>
  );
}

const styles = StyleSheet.create({
  page: { padding: space.l, paddingBottom: space.xl },
  sheet: { gap: space.m, width: '100%', maxWidth: 760, alignSelf: 'center' },
  names: { flexDirection: 'row', gap: space.m },
  half: { flex: 1, gap: 2 },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  scientific: { fontStyle: 'italic' },
  centred: { textAlign: 'center' },
  bars: { paddingTop: space.s, alignSelf: 'flex-start' },
  list: { gap: space.m },
  difference: { gap: space.s },
  what: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  pair: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  between: { width: 1, backgroundColor: colour.line },
  read: { borderLeftWidth: 4, borderLeftColor: colour.collect, paddingLeft: space.s },
  seen: { paddingTop: space.m },
  more: { alignSelf: 'flex-start' },
  strip: { flexDirection: 'row', gap: space.m, padding: space.m, paddingHorizontal: space.l, borderTopWidth: stroke.thick, borderTopColor: colour.ink, backgroundColor: colour.ground, justifyContent: 'center' },
  way: { flex: 1, maxWidth: 360, minHeight: 56 },
  link: { minHeight: TARGET, justifyContent: 'center', alignSelf: 'flex-start' },
  underlined: { textDecorationLine: 'underline' },
});
