import { useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  partings,
  relationOverall,
  viewCase,
  type Case,
  type CompiledTaxon,
  type Parting,
  type StageId,
} from '@pause/core';
import type { AtStage, Individual } from '@pause/core/drawing';
import {
  Body,
  Button,
  colour,
  Heading,
  Rule,
  Small,
  SmallStrong,
  space,
  Strong,
  useWide,
  Stack,
  Row,
} from '../../../components';
import { BADGE, Badges, type Badge } from '../../../components/plates/Badges';
import { StatePicture } from '../../../components/plates/StatePicture';
import { PlateDrawing } from '../../../components/plates/TaxonDrawing';
import { usualStage } from '../../../components/plates/TaxonSmall';
import { usePlates, type Plates } from '../../../components/plates/usePlates';
import { guide } from '../../../deciding/guide';
import { t } from '../../../text/en/sideBySide';
import { characterName, commonName, numberWord, stageName } from '../../../text/names';

interface SideBySideProps {
  readonly stages: readonly StageId[] | undefined;
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
  /** What has been read, if a find is being checked. */
  readonly find?: Case;
  /** The person's own picture, in place of the target's. */
  readonly mine?: React.ReactNode;
  /** Stands between the drawings and what differs. */
  readonly between?: React.ReactNode;
}

interface Numbered {
  readonly parting: Parting;
  /** The same number points at it on the drawings. */
  readonly number: number;
  /** What the find was read to be, in a sentence. */
  readonly read?: string;
}

/** What parts the two, numbered: not read yet comes first, it is what can still tell them apart. */
function numbered({ stages, target, other, find }: SideBySideProps): Numbered[] {
  const looks = find ? viewCase(guide, find).looks : [];
  const rows = partings(guide, target, other, stages).map((parting) => {
    const mine = looks.filter((look) => look.character.id === parting.character);
    const against = mine.some((look) => relationOverall(look, other) === 'against');
    return {
      parting,
      ...(mine.length > 0
        ? {
            read: against
              ? t.readSoAndItSpeaks(commonName(other.id))
              : t.readAndItDoesNot(commonName(other.id)),
          }
        : {}),
    };
  });
  return [
    ...rows.filter((row) => row.read === undefined),
    ...rows.filter((row) => row.read !== undefined),
  ].map((row, i) => ({ ...row, number: i + 1 }));
}

/** Both as a whole, the parts in which they differ numbered, and below what each number says. */
export function SideBySide(props: SideBySideProps) {
  const { stages, target, other, find, mine, between } = props;
  const [all, setAll] = useState(false);
  // Everything else about the screen leaves the numbers as they are.
  // eslint-disable-next-line react-hooks/exhaustive-deps
  const rows = useMemo(() => numbered(props), [stages, target, other, find]);
  const pair = useMemo(
    () => [atStage(stages, target), atStage(stages, other)] as const,
    [stages, target, other],
  );
  const plates = usePlates();
  const ones = useMemo(
    () => plates && ([individualAt(plates, pair[0]), individualAt(plates, pair[1])] as const),
    [plates, pair],
  );
  const open = rows.filter((row) => row.read === undefined);
  const shown = all ? open : open.slice(0, FIRST);
  const seen = rows.filter((row) => row.read !== undefined);
  return (
    <Stack gap="m">
      <Drawings pair={pair} shown={[...shown, ...seen].slice(0, POINTED)} mine={mine} />
      {between}
      <Rule strong />
      {rows.length === 0 ? <Body soft>{t.atThisStageTheGuide}</Body> : null}
      {shown.map((row) => (
        <Difference key={row.parting.character} ones={ones} {...row} />
      ))}
      {open.length > shown.length ? (
        <Button
          label={t.showMore(numberWord(open.length - shown.length))}
          tone="outline"
          onPress={() => setAll(true)}
          style={styles.more}
        />
      ) : null}
      {seen.length > 0 ? <Heading style={styles.seen}>{t.readOnThisFind}</Heading> : null}
      {seen.map((row) => (
        <Difference key={row.parting.character} ones={ones} {...row} />
      ))}
    </Stack>
  );
}
const individualAt = (plates: Plates, { taxon, stage }: AtStage) => plates.individual(guide, taxon, stage, 0);

/** So many differences are shown at first, and so many numbers are on a drawing at most. */
const FIRST = 6;
const POINTED = 7;
const NOTHING: ReadonlySet<string> = new Set();

/** Both at the recorded stage, or at the middle one of what they go through. */
const atStage = (stages: SideBySideProps['stages'], taxon: CompiledTaxon): AtStage => ({
  taxon,
  stage: stages?.find((s) => taxon.taxon.stages.includes(s)) ?? usualStage(taxon),
});

interface DrawingsProps extends Pick<SideBySideProps, 'mine'> {
  readonly pair: readonly [AtStage, AtStage];
  readonly shown: readonly Numbered[];
}

/** Both on one scale where that shows both well. */
function Drawings({ pair, shown, mine }: DrawingsProps) {
  const plates = usePlates();
  const height = useWide() ? 320 : 208;
  const drawn = useMemo(() => plates?.pairPlates(guide, pair), [plates, pair]);
  const written = useMemo(() => plates && drawn?.plates.map(plates.writtenPlate), [plates, drawn]);
  const accent = new Set<string>(shown.map((row) => row.parting.character));
  const badges = drawn?.plates.map((plate) =>
    plates
      ?.labels(plate, [...accent], (BADGE * plate.height) / height)
      .flatMap(({ character, at }): Badge[] =>
        shown
          .filter((row) => row.parting.character === character)
          .map(({ number, read }) => ({ number, at, filled: read !== undefined })),
      ),
  );
  return (
    <View style={styles.pair}>
      {pair.map(({ taxon, stage }, i) => (
        <View key={taxon.id} style={[styles.half, i === 1 && styles.right]}>
          {i === 0 && mine ? (
            mine
          ) : (
            <>
              <PlateDrawing plate={written?.[i]} height={height} accent={mine ? NOTHING : accent} holdBack>
                <Badges badges={badges?.[i] ?? []} px={(drawn?.plates[i]?.height ?? 0) / height} />
              </PlateDrawing>
              <Small soft style={styles.centred}>
                {drawn?.oneScale ? stageName(stage) : t.inAScaleOfItsOwn(stageName(stage))}
              </Small>
            </>
          )}
        </View>
      ))}
    </View>
  );
}

interface DifferenceProps extends Numbered {
  /** Both as they are drawn. */
  readonly ones: readonly [Individual, Individual] | undefined;
}

function Difference({ parting, number, read, ones }: DifferenceProps) {
  const height = useWide() ? 128 : 104;
  return (
    <Stack gap="s" role="group" aria-label={characterName(parting.character)}>
      <Row align="centre" gap="s">
        <View style={[styles.number, read !== undefined && styles.numberRead]}>
          <SmallStrong
            on={read !== undefined ? 'dark' : 'light'}
            style={read === undefined && styles.numberOpen}
          >
            {number}
          </SmallStrong>
        </View>
        <Strong>{characterName(parting.character)}</Strong>
      </Row>
      <View style={styles.pair}>
        <StatePicture character={parting.character} states={parting.target} one={ones?.[0]} height={height} />
        <View style={styles.between} />
        <StatePicture character={parting.character} states={parting.other} one={ones?.[1]} height={height} />
      </View>
      {read ? <SmallStrong style={styles.read}>{read}</SmallStrong> : null}
      <Rule />
    </Stack>
  );
}

const styles = StyleSheet.create({
  half: { flex: 1, gap: 2 },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  centred: { textAlign: 'center' },
  pair: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  number: {
    width: 26,
    height: 26,
    borderRadius: 13,
    borderWidth: 2,
    borderColor: colour.collect,
    backgroundColor: colour.card,
    alignItems: 'center',
    justifyContent: 'center',
  },
  numberRead: { backgroundColor: colour.collect },
  numberOpen: { color: colour.collect },
  between: { width: 1, backgroundColor: colour.line },
  read: { borderLeftWidth: 4, borderLeftColor: colour.collect, paddingLeft: space.s },
  seen: { paddingTop: space.m },
  more: { alignSelf: 'flex-start' },
});
