import { useState } from 'react';
import { StyleSheet, TextInput } from 'react-native';
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
  Stack,
  Row,
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
  return photo ? (
    <OnPhoto photo={photo} onLength={onLength} />
  ) : (
    <Stack gap="m">
      <Body soft>{t.layItFlatBesideA}</Body>
      <PickPhoto label={t.takeThePhoto} onPhoto={setPhoto} />
    </Stack>
  );
}

const LONGEST_MM = 2000;

/** The points that were put, and the length between the last two. */
function usePoints(photo: Prepared) {
  const [card, setCard] = useState(true);
  const [text, setText] = useState('');
  const [points, setPoints] = useState<readonly Pixel[]>([]);
  const wanted = card ? 4 : 2;
  const [reference, ends] = [points.slice(0, wanted), points.slice(wanted)];
  const known = Number(text.replace(',', '.'));
  const lengthMissing = !card && !(Number.isFinite(known) && known > 0 && known <= LONGEST_MM);
  const given = lengthMissing ? undefined : referenceOf(card, reference, known);
  const [from, to] = ends;
  const length =
    given && from && to && ends.length === 2
      ? lengthOnPicture([from, to], given, {
          width: photo.width,
          picked: (PICKED_ON_SCREEN * photo.width) / SHOWN_WIDE,
        })
      : undefined;
  return {
    card,
    choose: (asCard: boolean) => {
      setCard(asCard);
      setPoints([]);
    },
    text,
    setText,
    points,
    setPoints,
    wanted,
    reference,
    ends,
    lengthMissing,
    length,
  };
}

function referenceOf(
  card: boolean,
  [first, second, third, fourth]: readonly Pixel[],
  millimetres: number,
): Reference | undefined {
  if (!first || !second) return undefined;
  if (!card) return { kind: 'length', ends: [first, second], millimetres };
  return third && fourth ? { kind: 'card', corners: [first, second, third, fourth], ...CARD } : undefined;
}

/** What is to be done next. */
function nextWords({ card, reference, ends, wanted, length }: ReturnType<typeof usePoints>): string {
  if (reference.length < wanted)
    return card ? t.tapTheCornersOfThe(reference.length) : t.tapBothEndsOfWhat(reference.length);
  if (ends.length < 2) return t.nowBothEndsOfWhat(ends.length);
  if (length) return t.dragAPointToMend;
  return card ? t.thoseAreNotTheCorners : t.giveTheLengthOfWhat;
}

interface OnPhotoProps {
  readonly photo: Prepared;
  readonly onLength: (length: Length) => void;
}

function OnPhoto({ photo, onLength }: OnPhotoProps) {
  const measure = usePoints(photo);
  const { card, points, setPoints, wanted, reference, ends, length } = measure;
  const marks: Mark[] = [
    { points: reference, name: card ? t.card : t.knownLength, tone: 'reference' },
    { points: ends, name: t.whatIsMeasured, tone: 'thing' },
  ];
  const add = (point: Pixel) => {
    if (points.length < wanted + 2) setPoints([...points, point]);
  };
  return (
    <Stack gap="m">
      <ReferenceChoice measure={measure} />
      <Strong role="status">{nextWords(measure)}</Strong>
      <PhotoBoard
        photo={photo}
        marks={marks}
        onPoint={add}
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
      <Row gap="m">
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
      </Row>
      <Button
        label={t.putTheNextPointIn}
        tone="plain"
        disabled={points.length >= wanted + 2}
        style={styles.start}
        onPress={() => add([photo.width / 2, photo.height / 2])}
      />
      <Small soft>{t.thePhotoStaysOnThis}</Small>
    </Stack>
  );
}

/** Whether a card lies beside it, or something of a known length. */
function ReferenceChoice({ measure }: { readonly measure: ReturnType<typeof usePoints> }) {
  const { card, choose, text, setText, lengthMissing } = measure;
  return (
    <>
      <ChipRow label={t.whatLiesBesideIt}>
        <Chip label={t.aCard} chosen={card} onPress={() => choose(true)} />
        <Chip label={t.aKnownLength} chosen={!card} onPress={() => choose(false)} />
      </ChipRow>
      {card ? null : (
        <Row gap="m" align="centre">
          <TextInput
            aria-label={t.knownLengthInMillimetres}
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            aria-invalid={text !== '' && lengthMissing}
            style={styles.input}
          />
          <Strong>{t.mmLong}</Strong>
        </Row>
      )}
    </>
  );
}

const styles = StyleSheet.create({
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
  way: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
