import { useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { CARD, lengthOnPicture, type Length, type Pixel, type Reference } from '@pause/core/measuring';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  font,
  Small,
  space,
  Strong,
  stroke,
  typeSize,
} from '../../../components';
import { PickPhoto } from '../../../components/photos/PickPhoto';
import type { Prepared } from '../../../components/photos/preparePhoto';
import { PhotoBoard, type Mark } from './PhotoBoard';

/** A finger puts a point to within so many pixels of the screen; the photo is shown about this wide. */
const PICKED_ON_SCREEN = 3;
const SHOWN_WIDE = 360;

/** A length off a photo: a thing of known size first, then both ends. */
export function MeasureOnPhoto({ onLength }: { readonly onLength: (length: Length) => void }) {
  const [photo, setPhoto] = useState<Prepared>();
  const [card, setCard] = useState(true);
  const [text, setText] = useState('');
  const [points, setPoints] = useState<readonly Pixel[]>([]);
  const known = Number(text.replace(',', '.'));
  const wanted = card ? 4 : 2;
  const [reference, ends] = [points.slice(0, wanted), points.slice(wanted)];
  if (!photo) {
    return (
      <View style={styles.steps}>
        <Body soft>
          Lay it flat beside a bank or library card, or beside anything whose length you know. Hold the phone
          level above it.
        </Body>
        <PickPhoto label="Take the photo" onPhoto={setPhoto} />
      </View>
    );
  }
  const lengthMissing = !card && !(Number.isFinite(known) && known > 0 && known <= 2000);
  const given: Reference | undefined =
    reference.length < wanted
      ? undefined
      : card
        ? { kind: 'card', corners: reference as unknown as [Pixel, Pixel, Pixel, Pixel], ...CARD }
        : lengthMissing
          ? undefined
          : { kind: 'length', ends: reference as unknown as [Pixel, Pixel], millimetres: known };
  const length =
    given && ends.length === 2
      ? lengthOnPicture(ends as unknown as [Pixel, Pixel], given, {
          width: photo.width,
          picked: (PICKED_ON_SCREEN * photo.width) / SHOWN_WIDE,
        })
      : undefined;
  const next =
    reference.length < wanted
      ? card
        ? `Tap the corners of the card one after the other, along its long side first: ${reference.length} of 4.`
        : `Tap both ends of what you know: ${reference.length} of 2.`
      : ends.length < 2
        ? `Now both ends of what you measure: ${ends.length} of 2.`
        : length
          ? 'Drag a point to mend it.'
          : card
            ? 'Those are not the corners of a card: go round it, the long side first.'
            : 'Give the length of what you know.';
  const marks: Mark[] = [
    { points: reference, name: card ? 'Card' : 'Known length', tone: 'reference' },
    { points: ends, name: 'What is measured', tone: 'thing' },
  ];
  return (
    <View style={styles.steps}>
      <ChipRow label="What lies beside it">
        <Chip
          label="A card"
          chosen={card}
          onPress={() => {
            setCard(true);
            setPoints([]);
          }}
        />
        <Chip
          label="A known length"
          chosen={!card}
          onPress={() => {
            setCard(false);
            setPoints([]);
          }}
        />
      </ChipRow>
      {card ? null : (
        <View style={styles.known}>
          <TextInput
            aria-label="Known length in millimetres"
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            aria-invalid={text !== '' && lengthMissing}
            style={styles.input}
          />
          <Strong>mm long</Strong>
        </View>
      )}
      <Strong role="status">{next}</Strong>
      <PhotoBoard
        photo={photo}
        marks={marks}
        onPoint={(p) => {
          if (points.length < wanted + 2) setPoints([...points, p]);
        }}
        onMove={(mark, point, to) =>
          setPoints(points.map((p, i) => (i === (mark === 0 ? point : wanted + point) ? to : p)))
        }
      />
      {length ? (
        <Body>
          <Strong>
            {Math.round(length.millimetres)} mm, give or take {Math.max(1, Math.ceil(length.error))} mm.
          </Strong>{' '}
          {card
            ? 'The card takes the tilt out of it.'
            : 'The tilt of the phone is not known; a card would show it.'}
        </Body>
      ) : null}
      <View style={styles.ways}>
        <Button
          label="Undo point"
          tone="outline"
          style={styles.way}
          disabled={points.length === 0}
          onPress={() => setPoints(points.slice(0, -1))}
        />
        <Button
          label="Record it"
          style={styles.way}
          disabled={!length}
          onPress={() => {
            if (length) onLength(length);
          }}
        />
      </View>
      <Button
        label="Put the next point in the middle"
        tone="plain"
        disabled={points.length >= wanted + 2}
        style={styles.start}
        onPress={() => setPoints([...points, [photo.width / 2, photo.height / 2]])}
      />
      <Small soft>The photo stays on this device.</Small>
    </View>
  );
}

const styles = StyleSheet.create({
  steps: { gap: space.m },
  known: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  input: {
    width: 110,
    minHeight: 52,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.readBold,
    fontSize: typeSize(21),
    color: colour.ink,
    paddingHorizontal: space.m,
  },
  ways: { flexDirection: 'row', gap: space.m },
  way: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
