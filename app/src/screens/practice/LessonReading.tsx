import { useMemo } from 'react';
import { View, Image } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { pairsOf, type LessonPairKnown, type Drawable, drawnPartings } from '@pause/core/practice';
import { Screen, Small, Title, Body, Strong, Button, SmallStrong } from '../../components';
import { StatePicture } from '../../components/plates/StatePicture';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import type { Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { useApp } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { CommonName, commonName, scientificName, harmLine, characterName } from '../../text/names';
import { Making } from './LessonMaking';
import { type Lesson, saveLesson } from './lessons';
import { styles } from './lessonStyles';
import { picturesBy } from './pictures';

/** A lesson to read. */

const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

interface ReadingProps {
  readonly lesson: Lesson;
  readonly plates: Plates;
  readonly onDo: () => void;
}

export function Reading({ lesson, plates, onDo }: ReadingProps) {
  const me = useApp((state) => state.me.person);
  const group = me?.groups.find((one) => one.id === lesson.group);
  const may = lesson.group === undefined ? lesson.person === me?.id : group?.role === 'keeper';
  const { known } = pairsOf(guide, lesson.fields);
  const drawable = useMemo(() => picturesBy(plates).state, [plates]);
  return (
    <Screen>
      <LessonHead lesson={lesson} groupName={group?.name} onDo={onDo} />
      <View role="list" aria-label={t.pairsOfThisLesson} style={styles.cards}>
        {known.map((pair) => (
          <PairCard key={`${pair.target.id} ${pair.other.id}`} pair={pair} drawable={drawable} />
        ))}
      </View>
      <LessonPhotos photos={lesson.fields.photos ?? []} />
      {may ? (
        <View {...NOT_PRINTED}>
          <Making lesson={lesson} />
        </View>
      ) : null}
    </Screen>
  );
}

function LessonHead({
  lesson,
  groupName,
  onDo,
}: Omit<ReadingProps, 'plates'> & { readonly groupName: string | undefined }) {
  const { title, note } = lesson.fields;
  const { known, unknown } = pairsOf(guide, lesson.fields);
  const empty = known.length === 0;
  return (
    <View style={styles.block} {...NOT_PRINTED}>
      <Small soft>{groupName === undefined ? t.lesson : t.lessonOf(groupName)}</Small>
      <Title>{title ?? t.aLesson}</Title>
      {note ? <Body>{note}</Body> : null}
      {unknown.length > 0 ? (
        <View role="alert">
          <Strong>{t.notInThisGuide(unknown.join(', '))}</Strong>
          <Small>{t.itStaysInTheLesson}</Small>
        </View>
      ) : null}
      <View style={styles.ways}>
        <Button label={t.doItNow} disabled={empty} onPress={onDo} />
        <Button label={t.printItsCards} tone="outline" disabled={empty} onPress={() => window.print()} />
        <Button label={t.saveAsAFile} tone="outline" onPress={() => saveLesson(lesson.fields)} />
      </View>
    </View>
  );
}

function LessonPhotos({ photos }: { readonly photos: NonNullable<Lesson['fields']['photos']> }) {
  if (photos.length === 0) return null;
  return (
    <View style={styles.photos} role="list" aria-label={t.pictures}>
      {photos.map(({ taxon, image, caption }, index) => (
        <View key={index} role="listitem" style={styles.photo}>
          <Image
            source={{ uri: image }}
            resizeMode="cover"
            accessibilityLabel={caption ?? CommonName(taxon)}
            style={styles.image}
          />
          <SmallStrong>{guide.taxon(taxon) ? CommonName(taxon) : taxon}</SmallStrong>
          {caption ? <Small soft>{caption}</Small> : null}
        </View>
      ))}
    </View>
  );
}

/** A card to be read, and printed: both, and what parts them. */
function PairCard({
  pair: { target, other, note },
  drawable,
}: {
  readonly pair: LessonPairKnown;
  readonly drawable: Drawable;
}) {
  const parts = useMemo(
    () => drawnPartings(guide, target, other, undefined, drawable).slice(0, 3),
    [target, other, drawable],
  );
  const shared = target.taxon.stages.filter((stage) => other.taxon.stages.includes(stage));
  const stageOf = (taxon: CompiledTaxon) => shared.at(-1) ?? taxon.taxon.stages.at(-1);
  return (
    <View role="listitem" aria-label={t.and(CommonName(target.id), commonName(other.id))} style={styles.card}>
      <View style={styles.two}>
        {[target, other].map((taxon, index) => {
          const stage = stageOf(taxon);
          return (
            <View key={taxon.id} style={[styles.half, index === 1 && styles.right]}>
              {stage === undefined ? null : (
                <TaxonDrawing
                  taxon={taxon}
                  stage={stage}
                  height={150}
                  accent={new Set(parts.map(({ character }) => character))}
                  scale={false}
                />
              )}
              <Strong>{CommonName(taxon.id)}</Strong>
              <Small soft style={styles.scientific}>
                {scientificName(taxon.id)}
              </Small>
              <Small soft>{harmLine(taxon.id)}</Small>
            </View>
          );
        })}
      </View>
      {parts.map(({ character, target: own, other: theirs }) => (
        <View key={character} style={styles.block}>
          <SmallStrong>{characterName(character)}</SmallStrong>
          <View style={styles.two}>
            <View style={styles.half}>
              <StatePicture character={character} states={own} height={64} />
            </View>
            <View style={[styles.half, styles.right]}>
              <StatePicture character={character} states={theirs} height={64} />
            </View>
          </View>
        </View>
      ))}
      {note ? <Body>{note}</Body> : null}
    </View>
  );
}
