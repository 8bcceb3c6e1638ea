import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState } from 'react';
import { Image, ScrollView, StyleSheet, View } from 'react-native';
import { filled, short, type BarRow, type Case, type CompiledTaxon } from '@pause/core';
import {
  Button,
  Chip,
  colour,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  space,
  stroke,
  Title,
  typeSize,
} from '../../../components';
import { FindFrame, type FindProps } from '../../../components/FindFrame';
import { FindWaysOut } from '../../../components/FindWaysOut';
import { latePart } from '../../../components/latePart';
import { useObjectUrl } from '../../../components/photos/useObjectUrl';
import { usePictures } from '../../../components/photos/usePictures';
import { Uprights } from '../../../components/Uprights';
import type { Evaluation } from '../../../deciding/evaluate';
import { guide } from '../../../deciding/guide';
import { useCase } from '../../../notebook/useCase';
import { t } from '../../../text/en/beside';
import { CommonName, harmLine, scientificName } from '../../../text/names';
import { SideBySide } from './late';

const Practised = latePart(
  () => import('../../later').then((m) => m.Practised),
  () => null,
);

/** Target and lookalike side by side, where they part and what this find was read to be. */
export function BesideScreen() {
  return (
    <FindFrame
      render={({ record, evaluation }) =>
        evaluation ? (
          <Beside record={record} evaluation={evaluation} />
        ) : (
          <Screen>
            <Loading what={t.comparingWithTheGuide} />
          </Screen>
        )
      }
    />
  );
}

/** The taxon beside the target: which, of which, and the next one. */
function useOther(evaluation: Evaluation) {
  const { other } = useLocalSearchParams<{ other?: string }>();
  const [asked, setAsked] = useState(other);
  // Those named as lookalikes, and whatever else is not ruled out yet.
  const rows = evaluation.verdict.rows.filter(
    (row) => !row.otherKingdom && (row.listed || short(row) > 0 || row.taxon === other),
  );
  const at = Math.max(
    0,
    rows.findIndex((row) => row.taxon === asked),
  );
  return { rows, at, row: rows[at], next: () => setAsked(rows[(at + 1) % rows.length]?.taxon) };
}

function Beside({ record, evaluation }: FindProps & { readonly evaluation: Evaluation }) {
  const router = useRouter();
  const find = useCase(record);
  const { rows, at, row, next } = useOther(evaluation);
  const target = find && guide.taxon(find.target);
  const lookalike = row && guide.taxon(row.taxon);
  const check = () => router.replace({ pathname: '/find/[id]/check', params: { id: record.id } });
  if (!find || !target || !row || !lookalike)
    return (
      <Screen>
        <Notice
          whole
          title={t.nothingToPutBesideIt}
          text={t.theGuideKnowsNothingDangerous}
          action={t.backToTheCheck}
          onAction={check}
        />
      </Screen>
    );
  const strip = (
    <View style={styles.strip}>
      <Button label={t.theCheck} tone="outline" style={styles.way} onPress={check} />
      {rows.length > 1 ? <Button label={t.nextOf(rows.length)} style={styles.way} onPress={next} /> : null}
    </View>
  );
  return (
    <Screen panes rooms={false} strip={strip}>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page}>
        <View style={styles.sheet}>
          <FindWaysOut find={record.id} />
          <Small soft>{t.sideBySideOf(at + 1, rows.length)}</Small>
          <Title>{t.whereTheyPart}</Title>
          <Names target={target} row={row} />
          <Practised target={target.id} other={row.taxon} />
          <WithPhoto find={find} id={record.id} target={target} other={lookalike} />
        </View>
      </ScrollView>
    </Screen>
  );
}

interface WithPhotoProps {
  readonly id: string;
  readonly find: Case;
  readonly target: CompiledTaxon;
  readonly other: CompiledTaxon;
}

/** Both side by side; one's own photo in place of the target's drawing where that is wanted. */
function WithPhoto({ id, find, target, other }: WithPhotoProps) {
  const [mine, setMine] = useState(false);
  const photo = usePictures(id)
    .pictures.filter((p) => p.kind === 'photo')
    .at(-1)?.image;
  return (
    <SideBySide
      key={other.id}
      stages={find.context.stages}
      find={find}
      target={target}
      other={other}
      mine={photo && mine ? <Mine photo={photo} /> : undefined}
      between={
        photo ? (
          <Chip kind="checkbox" label={t.myOwnPhotoOnThe} chosen={mine} onPress={() => setMine(!mine)} />
        ) : undefined
      }
    />
  );
}

/** The newest photo of this find. */
function Mine({ photo }: { readonly photo: Blob }) {
  const uri = useObjectUrl(photo);
  return uri ? (
    <Image source={{ uri }} resizeMode="contain" accessibilityLabel={t.myOwnPhoto} style={styles.mine} />
  ) : null;
}

function Names({ target, row }: { readonly target: CompiledTaxon; readonly row: BarRow }) {
  return (
    <View style={styles.names}>
      <View style={styles.half}>
        <Heading>{CommonName(target.id)}</Heading>
        <Small soft style={styles.scientific}>
          {scientificName(target.id)}
        </Small>
        <Small soft>{t.whatYouTakeItFor}</Small>
      </View>
      <View style={[styles.half, styles.right]}>
        <Heading>{CommonName(row.taxon)}</Heading>
        <Small soft style={styles.scientific}>
          {scientificName(row.taxon)}
        </Small>
        <Small soft>{harmLine(row.taxon)}</Small>
        <View style={styles.bars} role="img" aria-label={t.ofBarsFilled(filled(row), row.need)}>
          <Uprights row={row} />
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  mine: { width: '100%', height: 224 },
  page: { padding: space.l, paddingBottom: space.xl },
  sheet: { gap: space.m, width: '100%', maxWidth: 760, alignSelf: 'center' },
  // In large letters one above the other: no name is broken.
  names: { flexDirection: 'row', flexWrap: 'wrap', rowGap: space.m },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(140), gap: 2, paddingRight: space.s },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  scientific: { fontStyle: 'italic' },
  bars: { paddingTop: space.s, alignSelf: 'flex-start' },
  strip: {
    flexDirection: 'row',
    gap: space.m,
    padding: space.m,
    paddingHorizontal: space.l,
    borderTopWidth: stroke.thick,
    borderTopColor: colour.ink,
    backgroundColor: colour.ground,
    justifyContent: 'center',
  },
  way: { flex: 1, maxWidth: 360, minHeight: 56 },
});
