import { useState } from 'react';
import { View } from 'react-native';
import type { CompiledTaxon } from '@pause/core';
import { Rule, Heading, Field, Button, Strong, SmallStrong } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { chooseFile } from '../../lib/files';
import { changeFields } from '../../notebook/changeFields';
import { useAct } from '../../notebook/store';
import { CommonName, commonName } from '../../text/names';
import { type Lesson, pictureOf } from './lessons';
import { styles } from './lessonStyles';

/** Making a lesson. */

/** For whoever keeps it: pairs, words and pictures. */
export function Making({ lesson }: { readonly lesson: Lesson }) {
  const act = useAct();
  const save = (make: Parameters<typeof changeFields<'lesson'>>[2]) => {
    void act(changeFields(lesson.id, 'lesson', make));
  };
  const { title = '', note = '', pairs = [], photos = [] } = lesson.fields;
  const [words, setWords] = useState({ title, note });
  const [target, setTarget] = useState<CompiledTaxon>();
  const [adding, setAdding] = useState(false);
  const [wrong, setWrong] = useState<string>();
  const add = (other: CompiledTaxon) => {
    if (target)
      save(({ pairs: now = [] }) => ({
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
      save(({ photos: now = [] }) => ({ photos: [...now, { taxon: taxon as never, image }].slice(-5) }));
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
            save(() => ({ title: words.title.trim() }));
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
            save(() => ({ note: words.note.trim() === '' ? null : words.note.trim() }));
        }}
      />
      {pairs.map(({ target: one, other, note: said = '' }, index) => (
        <View key={`${one} ${other}`} style={styles.block}>
          <PairNote
            name={`${guide.taxon(one) ? CommonName(one) : one} and ${guide.taxon(other) ? commonName(other) : other}`}
            note={said}
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
            label="Take this pair out"
            tone="plain"
            style={styles.start}
            onPress={() => save(({ pairs: now = [] }) => ({ pairs: now.filter((_, at) => at !== index) }))}
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
          onPress={() => save(({ photos: now = [] }) => ({ photos: now.slice(0, -1) }))}
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
