import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { isEaten, leftOutOf, mustBeCooked } from '@pause/core/harvest/preparing';
import { dayOf, isoOf } from '@pause/core/lib/day';
import { labelAddress, labelLines, type BatchFields } from '@pause/core/pantry';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Title,
  Row,
  Grow,
} from '../../components';
import { TaxonSmall } from '../../components/plates/TaxonSmall';
import { guide } from '../../deciding/guide';
import { isThere, placesOf, usePantry, type BatchPage, type Pantry } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/pantry';
import { partName, scientificName } from '../../text/names';
import { METHOD, stepWords, STORE } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { keepsFor, madesOf, stepsOf } from './batch';
import { Square } from './Square';

/** Labels to print: one, or a sheet of all that stand on the shelf. */
export function LabelsScreen() {
  const { id } = useLocalSearchParams<{ id?: string }>();
  const pantry = usePantry();
  const [all, setAll] = useState(id === undefined);
  const [times, setTimes] = useState(1);
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what={t.openingTheNotebook} />
      </Screen>
    );
  const batches = all
    ? pantry.batches.filter((batch) => isThere(pantry, batch))
    : pantry.batches.filter((one) => one.id === id);
  return (
    <Screen>
      <View style={styles.block} {...NOT_PRINTED}>
        <Title>{t.labels}</Title>
        <Body>{t.inPlainWordsForThe}</Body>
        {id === undefined ? null : (
          <ChipRow label={t.which}>
            <Chip label={t.thisOne} chosen={!all} onPress={() => setAll(false)} />
            <Chip label={t.allOnTheShelf} chosen={all} onPress={() => setAll(true)} />
          </ChipRow>
        )}
        <ChipRow label={t.howManyOfEach}>
          {[1, 2, 4, 8].map((one) => (
            <Chip
              key={one}
              label={one === 1 ? t.once : one === 2 ? t.twice : t.times(one)}
              chosen={times === one}
              onPress={() => setTimes(one)}
            />
          ))}
        </ChipRow>
        {batches.length === 0 ? (
          <Notice title={t.nothingToLabel} text={t.whatYouMakeIsListed} />
        ) : (
          <Button label={t.printThem} style={styles.start} onPress={() => window.print()} />
        )}
      </View>
      <Row wrap gap="m" role="list" aria-label={t.labels}>
        {batches.flatMap((batch) =>
          Array.from({ length: times }, (_, at) => (
            <Label key={`${batch.id} ${at}`} batch={batch} pantry={pantry} />
          )),
        )}
      </Row>
    </Screen>
  );
}
const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

/** What a label says, line by line. */
export function linesOf(batch: BatchPage, pantry: Pantry, by: string): string[] {
  const { id, fields } = batch;
  const { name = t.aBatch, contents = [], method, on, bestBefore, readyOn, steps: done = [] } = fields;
  const places = placesOf(pantry, id);
  const mades = madesOf(contents);
  const steps = stepsOf(fields, pantry);
  // As long as it stands in the light, it does not stand where it is kept afterwards.
  const inLight = readyOn === undefined ? steps.find(({ code }) => code === 'stand-in-light') : undefined;
  const keeping = keepsFor(fields);
  return labelLines({
    id,
    name,
    contents: contents.map(({ taxon, part }) => ({
      scientificName: scientificName(taxon),
      part: partName(taxon, part),
    })),
    method: method ? METHOD[method][1] : '',
    ...(on ? { on: isoDayName(on) } : {}),
    ...(bestBefore ? { bestBefore: t.bestBeforeLine(isoDayName(bestBefore)) } : {}),
    ...(inLight
      ? { store: t.standsInTheLightCovered }
      : keeping
        ? { store: t.keep(STORE[keeping.store]) }
        : {}),
    ...(places.length > 0 ? { place: places.join(', ') } : {}),
    ...(by === '' ? {} : { by }),
    warnings: [
      ...(inLight && on ? [t.strainItOn(isoDayName(isoOf(dayOf(on) + (inLight.days ?? 0))))] : []),
      ...(mades.some(({ part }) => !isEaten(part)) ? [t.forWholeSkinOnlyNot, ...skinCautions(contents)] : []),
      ...(method !== 'cook' && mades.some(mustBeCooked) ? [t.cookItBeforeItIs] : []),
      ...leftOutOf(steps, done).map(({ step, why }) => t.stepLeftOutBecause(stepWords(step), why)),
    ],
  });
}

/** What the guide says to everybody who puts it on the skin: to keep it out of the sun, never on a wound. */
function skinCautions(contents: BatchFields['contents']): string[] {
  const cautions = contents.flatMap(({ taxon }) => guide.taxon(taxon)?.taxon.cautions ?? []);
  return [
    ...new Set(
      cautions
        .filter(
          (one) =>
            one.for === 'everyone' &&
            (one.routes ?? []).some((route) => route === 'skin' || route === 'wound'),
        )
        .map(({ text }) => text),
    ),
  ];
}

function Label({ batch, pantry }: { readonly batch: BatchPage; readonly pantry: Pantry }) {
  const groups = useApp((state) => state.me.person?.groups);
  const me = useApp((state) => state.me.person);
  const by =
    batch.person === me?.id
      ? me.name
      : (groups?.flatMap(({ members }) => [...members]).find(({ person }) => person === batch.person)?.name ??
        '');
  const [name = '', ...lines] = linesOf(batch, pantry, by);
  return (
    <View role="listitem" aria-label={t.labelOf(name)} style={styles.label}>
      <Grow>
        <Heading style={styles.ink}>{name}</Heading>
        {lines.map((line, at) =>
          at === lines.length - 1 ? (
            <SmallStrong key={line} style={styles.ink}>
              {line}
            </SmallStrong>
          ) : (
            <Small key={line} style={styles.ink}>
              {line}
            </Small>
          ),
        )}
      </Grow>
      <View style={styles.pictures}>
        <Square
          text={labelAddress(window.location.origin, batch.id)}
          size={104}
          label={t.aSquareThatLeadsTo(name)}
        />
        <TaxonSmall of={batch.fields.contents?.[0]?.taxon} height={84} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.m },
  start: { alignSelf: 'flex-start' },
  // Paper is white, whatever the screen is.
  label: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    backgroundColor: '#FFFFFF',
    flexGrow: 1,
    flexBasis: 320,
    maxWidth: 460,
  },
  ink: { color: '#14201B' },
  pictures: { alignItems: 'center', gap: space.s },
});
