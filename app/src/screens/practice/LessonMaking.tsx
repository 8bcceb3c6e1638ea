import { useState } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon, TaxonId } from '@pause/core';
import { Rule, Heading, Field, Button, Strong, SmallStrong } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { chooseFile } from '../../lib/files';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { t } from '../../text/en/practice';
import { CommonName, commonName } from '../../text/names';
import { type Lesson, pictureOf } from './lessons';
import { styles } from './lessonStyles';

/** Making a lesson. */

/** Changes the lesson, worked out from its newest fields. */
type Save = (make: Parameters<typeof changeFields<'lesson'>>[2]) => void;
interface PartProps {
  readonly lesson: Lesson;
  readonly save: Save;
}

/** For whoever keeps it: pairs, words and pictures. */
export function Making({ lesson }: { readonly lesson: Lesson }) {
  const act = useAct();
  const save: Save = (make) => {
    void act(changeFields(lesson.id, 'lesson', make));
  };
  return (
    <View style={styles.making}>
      <Rule strong />
      <Heading>{t.makeIt}</Heading>
      <TitleAndNote lesson={lesson} save={save} />
      {(lesson.fields.pairs ?? []).map((pair, index) => (
        <Pair key={`${pair.target} ${pair.other}`} pair={pair} index={index} save={save} />
      ))}
      <AddPair save={save} />
      <Photos lesson={lesson} save={save} />
    </View>
  );
}

function TitleAndNote({ lesson, save }: PartProps) {
  const { title = '', note = '' } = lesson.fields;
  const [words, setWords] = useState({ title, note });
  return (
    <>
      <Field
        label={t.whatItIsCalled}
        value={words.title}
        onChangeText={(text) => setWords({ ...words, title: text })}
        maxLength={120}
        {...(words.title.trim() === '' ? { wrong: t.aLessonHasAName } : {})}
        onBlur={() => {
          if (words.title.trim() !== '' && words.title.trim() !== title)
            save(() => ({ title: words.title.trim() }));
        }}
      />
      <Field
        label={t.whatYouHaveToSay}
        value={words.note}
        multiline
        onChangeText={(text) => setWords({ ...words, note: text })}
        maxLength={2000}
        onBlur={() => {
          if (words.note.trim() !== note)
            save(() => ({ note: words.note.trim() === '' ? null : words.note.trim() }));
        }}
      />
    </>
  );
}

interface PairProps {
  readonly pair: NonNullable<Lesson['fields']['pairs']>[number];
  readonly index: number;
  readonly save: Save;
}

function Pair({ pair: { target, other, note = '' }, index, save }: PairProps) {
  return (
    <View style={styles.block}>
      <PairNote
        name={t.bothOf(
          guide.taxon(target) ? CommonName(target) : target,
          guide.taxon(other) ? commonName(other) : other,
        )}
        note={note}
        onNote={(text) =>
          save(({ pairs: now = [] }) => ({
            pairs: now.map((pair, at) =>
              at === index
                ? { target: pair.target, other: pair.other, ...(text === '' ? {} : { note: text }) }
                : pair,
            ),
          }))
        }
      />
      <Button
        label={t.takeThisPairOut}
        tone="plain"
        style={styles.start}
        onPress={() => save(({ pairs: now = [] }) => ({ pairs: now.filter((_, at) => at !== index) }))}
      />
    </View>
  );
}

const MOST_PAIRS = 40;

function AddPair({ save }: Pick<PartProps, 'save'>) {
  const [target, setTarget] = useState<CompiledTaxon>();
  const [adding, setAdding] = useState(false);
  const end = () => {
    setTarget(undefined);
    setAdding(false);
  };
  const add = (other: CompiledTaxon) => {
    if (target)
      save(({ pairs: now = [] }) => ({
        pairs: [
          ...now.filter((one) => !(one.target === target.id && one.other === other.id)),
          { target: target.id, other: other.id },
        ].slice(0, MOST_PAIRS),
      }));
    end();
  };
  if (!adding)
    return (
      <Button label={t.putInAPair} tone="outline" style={styles.start} onPress={() => setAdding(true)} />
    );
  return (
    <View style={styles.block}>
      <Strong>{target ? t.andWhatItIsTaken(CommonName(target.id)) : t.whatIsLookedFor}</Strong>
      {target ? (
        <ChooseTaxon
          key="other"
          label={t.whatItIsTakenFor}
          placeholder={t.aName}
          first={target.taxon.lookalikes.flatMap((id) => guide.taxon(id) ?? [])}
          onChoose={add}
        />
      ) : (
        <ChooseTaxon
          key="target"
          label={t.whatIsLookedFor}
          placeholder={t.aName}
          first={[]}
          onChoose={setTarget}
        />
      )}
      <Button label={t.neverMind} tone="plain" style={styles.start} onPress={end} />
    </View>
  );
}

const MOST_PHOTOS = 5;

function Photos({ lesson: { fields }, save }: PartProps) {
  const { pairs = [], photos = [] } = fields;
  const [wrong, setWrong] = useState<string>();
  const add = async (taxon: TaxonId) => {
    setWrong(undefined);
    const file = await chooseFile('image/*');
    if (!file) return;
    try {
      const image = await pictureOf(file);
      save(({ photos: now = [] }) => ({ photos: [...now, { taxon, image }].slice(-MOST_PHOTOS) }));
    } catch {
      setWrong(t.thisIsNoPictureThat);
    }
  };
  const taxa = [...new Set(pairs.flatMap(({ target, other }) => [target, other]))].filter((id) =>
    guide.taxon(id),
  );
  return (
    <>
      {taxa.length > 0 && photos.length < MOST_PHOTOS ? (
        <View style={styles.block}>
          <SmallStrong>{t.yourOwnPictureOf}</SmallStrong>
          <View style={styles.ways}>
            {taxa.map((id) => (
              <Button key={id} label={CommonName(id)} tone="outline" onPress={() => void add(id)} />
            ))}
          </View>
        </View>
      ) : null}
      {photos.length > 0 ? (
        <Button
          label={t.takeTheLastPictureOut}
          tone="plain"
          style={styles.start}
          onPress={() => save(({ photos: now = [] }) => ({ photos: now.slice(0, -1) }))}
        />
      ) : null}
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
    </>
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
      label={t.whatToLookAt(name)}
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
