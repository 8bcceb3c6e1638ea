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
import { t } from '../../../text/en/measuring';
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
  const [first, second, third, fourth] = reference;
  const [from, to] = ends;
  if (!photo) {
    return (
      <View style={styles.steps}>
        <Body soft>{t.layItFlatBesideA}</Body>
        <PickPhoto label={t.takeThePhoto} onPhoto={setPhoto} />
      </View>
    );
  }
  const lengthMissing = !card && !(Number.isFinite(known) && known > 0 && known <= 2000);
  const given: Reference | undefined =
    card && first && second && third && fourth
      ? { kind: 'card', corners: [first, second, third, fourth], ...CARD }
      : !card && !lengthMissing && first && second
        ? { kind: 'length', ends: [first, second], millimetres: known }
        : undefined;
  const length =
    given && from && to && ends.length === 2
      ? lengthOnPicture([from, to], given, {
          width: photo.width,
          picked: (PICKED_ON_SCREEN * photo.width) / SHOWN_WIDE,
        })
      : undefined;
  const next =
    reference.length < wanted
      ? card
        ? t.tapTheCornersOfThe(reference.length)
        : t.tapBothEndsOfWhat(reference.length)
      : ends.length < 2
        ? t.nowBothEndsOfWhat(ends.length)
        : length
          ? t.dragAPointToMend
          : card
            ? t.thoseAreNotTheCorners
            : t.giveTheLengthOfWhat;
  const marks: Mark[] = [
    { points: reference, name: card ? t.card : t.knownLength, tone: 'reference' },
    { points: ends, name: t.whatIsMeasured, tone: 'thing' },
  ];
  return (
    <View style={styles.steps}>
      <ChipRow label={t.whatLiesBesideIt}>
        <Chip
          label={t.aCard}
          chosen={card}
          onPress={() => {
            setCard(true);
            setPoints([]);
          }}
        />
        <Chip
          label={t.aKnownLength}
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
            aria-label={t.knownLengthInMillimetres}
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            aria-invalid={text !== '' && lengthMissing}
            style={styles.input}
          />
          <Strong>{t.mmLong}</Strong>
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
            {t.lengthWithErrorSentence(Math.round(length.millimetres), Math.max(1, Math.ceil(length.error)))}
          </Strong>{' '}
          {card ? t.theCardTakesTheTilt : t.theTiltOfThePhone}
        </Body>
      ) : null}
      <View style={styles.ways}>
        <Button
          label={t.undoPoint}
          tone="outline"
          style={styles.way}
          disabled={points.length === 0}
          onPress={() => setPoints(points.slice(0, -1))}
        />
        <Button
          label={t.recordIt}
          style={styles.way}
          disabled={!length}
          onPress={() => {
            if (length) onLength(length);
          }}
        />
      </View>
      <Button
        label={t.putTheNextPointIn}
        tone="plain"
        disabled={points.length >= wanted + 2}
        style={styles.start}
        onPress={() => setPoints([...points, [photo.width / 2, photo.height / 2]])}
      />
      <Small soft>{t.thePhotoStaysOnThis}</Small>
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
