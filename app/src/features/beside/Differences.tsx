import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { partings, relationOverall, viewCase, type Case, type CompiledTaxon, type Parting, type StageId } from '@pause/core';
import { guide } from '../../evaluate/guide';
import { characterName, commonName, numberWord, stageName } from '../../words/names';
import { Body, Button, colour, Heading, OrganGlyph, Rule, Small, SmallStrong, space, Strong, useWide } from '../../ui';
import { TaxonDrawing } from '../plate/TaxonDrawing';
import { StatePicture } from './StatePicture';

/** Both as a whole, at the stage told; the parts in which they differ in the accent. */
export function Drawings({ stages, target, other, mine }: {
  readonly stages: readonly StageId[] | undefined; readonly target: CompiledTaxon; readonly other: CompiledTaxon;
  /** The person's own picture, in place of the target's. */
  readonly mine?: React.ReactNode;
}) {
  const parted = useMemo(() => new Set<string>(partings(guide, target, other, stages).map((parting) => parting.character)), [target, other, stages]);
  const stageOf = (taxon: CompiledTaxon): StageId | undefined => stages?.find((stage) => taxon.taxon.stages.includes(stage)) ?? taxon.taxon.stages[Math.min(1, taxon.taxon.stages.length - 1)];
  return (
    <View style={styles.pair}>
      {[target, other].map((taxon, i) => {
        const stage = stageOf(taxon);
        return (
          <View key={taxon.id} style={[styles.half, i === 1 && styles.right]}>
            {i === 0 && mine ? mine : stage ? (
              <>
                <TaxonDrawing taxon={taxon} stage={stage} height={200} accent={parted} />
                <Small soft style={styles.centred}>{stageName(stage)}</Small>
              </>
            ) : null}
          </View>
        );
      })}
    </View>
  );
}

/** Not read yet comes first: it is what can still tell them apart. */
export function Differences({ stages, find, target, other }: { readonly stages: readonly StageId[] | undefined; readonly find?: Case; readonly target: CompiledTaxon; readonly other: CompiledTaxon }) {
  const [all, setAll] = useState(false);
  const parts = partings(guide, target, other, stages);
  const looks = find ? viewCase(guide, find).looks : [];
  const read = (parting: Parting) => looks.filter((look) => look.character.id === parting.character);
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

const styles = StyleSheet.create({
  half: { flex: 1, gap: 2 },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  centred: { textAlign: 'center' },
  list: { gap: space.m },
  difference: { gap: space.s },
  what: { flexDirection: 'row', alignItems: 'center', gap: space.s },
  pair: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  between: { width: 1, backgroundColor: colour.line },
  read: { borderLeftWidth: 4, borderLeftColor: colour.collect, paddingLeft: space.s },
  seen: { paddingTop: space.m },
  more: { alignSelf: 'flex-start' },
});
