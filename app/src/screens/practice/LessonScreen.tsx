import { useLocalSearchParams, useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import { Image, StyleSheet, View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import {
  drawnPartings,
  pairCard,
  pairsOf,
  type CardId,
  type Drawable,
  type LessonPairKnown,
} from '@pause/core/practice';
import {
  Body,
  Button,
  colour,
  corner,
  Field,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  stroke,
  Strong,
  Title,
  typeSize,
} from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { StatePicture } from '../../components/plates/StatePicture';
import { TaxonDrawing } from '../../components/plates/TaxonDrawing';
import { useNeededPlates, type Plates } from '../../components/plates/usePlates';
import { guide } from '../../deciding/guide';
import { chooseFile } from '../../lib/files';
import { useAct, useApp } from '../../notebook/store';
import { tellOf } from '../../notebook/tell';
import { useOpenPages } from '../../notebook/useOpenPages';
import { characterName, CommonName, commonName, harmLine, scientificName } from '../../text/names';
import { Drills, drillsFor } from './DrillScreen';
import { pictureOf, lessonsOf, saveLesson, type Lesson } from './lessons';
import { picturesBy } from './pictures';
import { useSitting } from './useSitting';

/** One lesson: read it, do it, print its cards; and for whoever keeps it, make it. */
export function LessonScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const ready = useOpenPages();
  const plates = useNeededPlates();
  const pages = useApp((state) => state.pages.all);
  const lesson = useMemo(() => lessonsOf(pages).find((one) => one.id === id), [pages, id]);
  const [doing, setDoing] = useState(false);
  if (!ready || !plates)
    return (
      <Screen>
        <Loading what="Opening the lesson …" />
      </Screen>
    );
  if (!lesson)
    return (
      <Screen>
        <Notice
          whole
          title="No such lesson"
          text="It is not in this notebook, or not on this device yet."
          action="Lessons"
          onAction={() => router.replace('/practice/lessons')}
        />
      </Screen>
    );
  return doing ? (
    <Doing lesson={lesson} plates={plates} />
  ) : (
    <Reading lesson={lesson} plates={plates} onDo={() => setDoing(true)} />
  );
}

/** Each pair twice, in another order the second time. */
function Doing({ lesson, plates }: { readonly lesson: Lesson; readonly plates: Plates }) {
  const pictures = useMemo(() => picturesBy(plates), [plates]);
  const { known } = pairsOf(guide, lesson.fields);
  const [drills] = useState(() => {
    const cards = known.map(({ target, other }) => pairCard(target.id, other.id));
    return drillsFor([...cards, ...[...cards].reverse()], pictures);
  });
  const { keep, kept, flush } = useSitting('lesson', lesson.id);
  const noteOf = (card: CardId) => {
    const pair = known.find(({ target, other }) => pairCard(target.id, other.id) === card);
    return pair?.note ? (
      <View style={styles.note}>
        <Small soft>{lesson.fields.title}</Small>
        <Body>{pair.note}</Body>
      </View>
    ) : null;
  };
  return (
    <Drills
      drills={drills}
      plates={plates}
      answers={kept.answers}
      onAnswer={(answer) => keep({ answers: [answer] })}
      onEnd={flush}
      empty="Nothing of its pairs can be drawn at a stage that both have."
      noteOf={noteOf}
    />
  );
}

const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

function Reading({
  lesson,
  plates,
  onDo,
}: {
  readonly lesson: Lesson;
  readonly plates: Plates;
  readonly onDo: () => void;
}) {
  const me = useApp((state) => state.me.person);
  const group = me?.groups.find((one) => one.id === lesson.group);
  const may = lesson.group === undefined ? lesson.person === me?.id : group?.role === 'keeper';
  const { known, unknown } = pairsOf(guide, lesson.fields);
  const drawable = useMemo(() => picturesBy(plates).state, [plates]);
  const { title, note, photos = [] } = lesson.fields;
  return (
    <Screen>
      <View style={styles.block} {...NOT_PRINTED}>
        <Small soft>Lesson{group ? ` of ${group.name}` : ''}</Small>
        <Title>{title ?? 'A lesson'}</Title>
        {note ? <Body>{note}</Body> : null}
        {unknown.length > 0 ? (
          <View role="alert">
            <Strong>Not in this guide: {unknown.join(', ')}</Strong>
            <Small>It stays in the lesson, and is passed over in practice.</Small>
          </View>
        ) : null}
        <View style={styles.ways}>
          <Button label="Do it now" disabled={known.length === 0} onPress={onDo} />
          <Button
            label="Print its cards"
            tone="outline"
            disabled={known.length === 0}
            onPress={() => window.print()}
          />
          <Button label="Save as a file" tone="outline" onPress={() => saveLesson(lesson.fields)} />
        </View>
      </View>
      <View role="list" aria-label="Pairs of this lesson" style={styles.cards}>
        {known.map((pair) => (
          <PairCard key={`${pair.target.id} ${pair.other.id}`} pair={pair} drawable={drawable} />
        ))}
      </View>
      {photos.length > 0 ? (
        <View style={styles.photos} role="list" aria-label="Pictures">
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
      ) : null}
      {may ? (
        <View {...NOT_PRINTED}>
          <Making lesson={lesson} />
        </View>
      ) : null}
    </Screen>
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
    <View
      role="listitem"
      aria-label={`${CommonName(target.id)} and ${commonName(other.id)}`}
      style={styles.card}
    >
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

/** For whoever keeps it: pairs, words and pictures. */
function Making({ lesson }: { readonly lesson: Lesson }) {
  const act = useAct();
  const tell = (make: Parameters<typeof tellOf<'lesson'>>[2]) => {
    void act(tellOf(lesson.id, 'lesson', make));
  };
  const { title = '', note = '', pairs = [], photos = [] } = lesson.fields;
  const [words, setWords] = useState({ title, note });
  const [target, setTarget] = useState<CompiledTaxon>();
  const [adding, setAdding] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const add = (other: CompiledTaxon) => {
    if (target)
      tell(({ pairs: now = [] }) => ({
        pairs: [
          ...now.filter((one) => !(one.target === target.id && one.other === other.id)),
          { target: target.id, other: other.id },
        ].slice(0, 40),
      }));
    setTarget(undefined);
    setAdding(false);
  };
  const picture = async (taxon: string) => {
    setWrong(undefined);
    const file = await chooseFile('image/*');
    if (!file) return;
    try {
      const image = await pictureOf(file);
      tell(({ photos: now = [] }) => ({ photos: [...now, { taxon: taxon as never, image }].slice(-5) }));
    } catch {
      setWrong(
        'This is no picture that can be read here, or it cannot be made small enough. Photos are JPEG, PNG or WebP.',
      );
    }
  };
  const taxa = [...new Set(pairs.flatMap(({ target: one, other }) => [one, other]))].filter((id) =>
    guide.taxon(id),
  );
  return (
    <View style={styles.making}>
      <Rule strong />
      <Heading>Make it</Heading>
      <Field
        label="What it is called"
        value={words.title}
        onChangeText={(text) => setWords({ ...words, title: text })}
        maxLength={120}
        {...(words.title.trim() === '' ? { wrong: 'a lesson has a name' } : {})}
        onBlur={() => {
          if (words.title.trim() !== '' && words.title.trim() !== title)
            tell(() => ({ title: words.title.trim() }));
        }}
      />
      <Field
        label="What you have to say of it"
        value={words.note}
        multiline
        onChangeText={(text) => setWords({ ...words, note: text })}
        maxLength={2000}
        onBlur={() => {
          if (words.note.trim() !== note)
            tell(() => ({ note: words.note.trim() === '' ? null : words.note.trim() }));
        }}
      />
      {pairs.map(({ target: one, other, note: said = '' }, index) => (
        <View key={`${one} ${other}`} style={styles.block}>
          <PairNote
            name={`${guide.taxon(one) ? CommonName(one) : one} and ${guide.taxon(other) ? commonName(other) : other}`}
            note={said}
            onNote={(text) =>
              tell(({ pairs: now = [] }) => ({
                pairs: now.map((pair, at) =>
                  at === index
                    ? { target: pair.target, other: pair.other, ...(text === '' ? {} : { note: text }) }
                    : pair,
                ),
              }))
            }
          />
          <Button
            label="Take this pair out"
            tone="plain"
            style={styles.start}
            onPress={() => tell(({ pairs: now = [] }) => ({ pairs: now.filter((_, at) => at !== index) }))}
          />
        </View>
      ))}
      {adding ? (
        <View style={styles.block}>
          <Strong>
            {target ? `${CommonName(target.id)}, and what it is taken for` : 'What is looked for'}
          </Strong>
          {target ? (
            <ChooseTaxon
              key="other"
              label="What it is taken for"
              placeholder="A name"
              first={target.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? [])}
              onChoose={add}
            />
          ) : (
            <ChooseTaxon
              key="target"
              label="What is looked for"
              placeholder="A name"
              first={[]}
              onChoose={setTarget}
            />
          )}
          <Button
            label="Never mind"
            tone="plain"
            style={styles.start}
            onPress={() => {
              setAdding(false);
              setTarget(undefined);
            }}
          />
        </View>
      ) : (
        <Button label="Put in a pair" tone="outline" style={styles.start} onPress={() => setAdding(true)} />
      )}
      {taxa.length > 0 && photos.length < 5 ? (
        <View style={styles.block}>
          <SmallStrong>Your own picture of</SmallStrong>
          <View style={styles.ways}>
            {taxa.map((id) => (
              <Button
                key={id}
                label={CommonName(id)}
                tone="outline"
                onPress={() => {
                  void picture(id);
                }}
              />
            ))}
          </View>
        </View>
      ) : null}
      {photos.length > 0 ? (
        <Button
          label="Take the last picture out"
          tone="plain"
          style={styles.start}
          onPress={() => tell(({ photos: now = [] }) => ({ photos: now.slice(0, -1) }))}
        />
      ) : null}
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
    </View>
  );
}

function PairNote({
  name,
  note,
  onNote,
}: {
  readonly name: string;
  readonly note: string;
  readonly onNote: (text: string) => void;
}) {
  const [text, setText] = useState(note);
  return (
    <Field
      label={`${name}: what to look at`}
      value={text}
      multiline
      onChangeText={setText}
      maxLength={2000}
      onBlur={() => {
        if (text.trim() !== note) onNote(text.trim());
      }}
    />
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  making: { gap: space.m },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s },
  start: { alignSelf: 'flex-start' },
  note: { borderLeftWidth: 4, borderLeftColor: colour.ink, paddingLeft: space.m },
  cards: { gap: space.l, flexDirection: 'row', flexWrap: 'wrap' },
  card: {
    gap: space.m,
    padding: space.m,
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    flexGrow: 1,
    flexBasis: 320,
    maxWidth: 560,
  },
  two: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  half: { flexGrow: 1, flexShrink: 1, flexBasis: typeSize(110), gap: 2 },
  right: { borderLeftWidth: 1, borderLeftColor: colour.line, paddingLeft: space.m },
  scientific: { fontStyle: 'italic' },
  photos: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  photo: { flexBasis: 160, flexGrow: 1, maxWidth: 260, gap: 2 },
  image: { width: '100%', height: 150, borderRadius: corner },
});
