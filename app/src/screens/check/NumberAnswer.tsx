import { useState } from 'react';
import { StyleSheet, TextInput, View } from 'react-native';
import { millimetres, type CharacterId, type LengthUnit, type ReadingValue } from '@pause/core';
import type { Length } from '@pause/core/measuring';
import {
  Button,
  Chip,
  ChipRow,
  colour,
  corner,
  font,
  space,
  Strong,
  stroke,
  TARGET,
  typeSize,
} from '../../components';
import { latePart } from '../../components/latePart';
import { guide } from '../../deciding/guide';
import { t } from '../../text/en/answer';
import { lengthWords } from '../../text/names';
const MeasureOnPhoto = latePart(() => import('./measuring/onPhoto').then((m) => m.MeasureOnPhoto));
const MeasureOnScreen = latePart(() => import('./measuring/MeasureOnScreen').then((m) => m.MeasureOnScreen));

interface NumberAnswerProps {
  readonly character: CharacterId;
  readonly onAnswer: (value: ReadingValue) => void;
}

/** So many times the largest that the guide knows of a character is a slip of the finger or of the unit. */
const ABSURD = 10;

/** The largest that the guide states of a character, in mm for measures. */
function largestKnown(id: CharacterId): number {
  const index = guide.character(id)?.index;
  const known =
    index === undefined
      ? []
      : guide.taxa.flatMap((taxon) => {
          const overall = taxon.overall.get(index);
          return overall?.kind === 'number' ? [overall.possible[1]] : [];
        });
  return Math.max(0, ...known);
}

/** What is wrong with a number, if anything. */
export function numberProblem(
  text: string,
  character: CharacterId,
  kind: 'count' | 'measure',
  unit: LengthUnit,
): string | undefined {
  if (text.trim() === '') return undefined;
  const number = Number(text.replace(',', '.'));
  if (!Number.isFinite(number) || number < 0) return t.giveANumber;
  if (kind === 'count' && !Number.isInteger(number)) return t.aCountIsAWhole;
  const largest = largestKnown(character) || 1000;
  if (kind === 'count') return number > largest * ABSURD ? t.nothingInTheGuideHas(largest) : undefined;
  return millimetres(number, unit) > largest * ABSURD
    ? t.nothingInTheGuideComes(lengthWords(largest))
    : undefined;
}

export function NumberAnswer({ character, onAnswer }: NumberAnswerProps) {
  const known = guide.character(character)?.character;
  return known?.kind === 'measure' ? (
    <Measure character={character} unit={known.unit} onAnswer={onAnswer} />
  ) : (
    <Count character={character} onAnswer={onAnswer} />
  );
}

/** Counted with two big buttons, or typed; and nobody needs to count beyond what tells. */
function Count({ character, onAnswer }: NumberAnswerProps) {
  const [text, setText] = useState('');
  const [orMore, setOrMore] = useState(false);
  const wrong = numberProblem(text, character, 'count', 'mm');
  const number = text.trim() === '' || wrong ? undefined : Number(text);
  const step = (by: number) => setText(String(Math.max(0, (number ?? (by > 0 ? 0 : 1)) + by)));
  return (
    <View style={styles.answers}>
      <View style={styles.stepper}>
        <Button
          label="−"
          aria-label={t.oneLess}
          tone="outline"
          style={styles.step}
          onPress={() => step(-1)}
        />
        <TextInput
          aria-label={t.count}
          aria-invalid={wrong !== undefined}
          inputMode="numeric"
          value={text}
          onChangeText={setText}
          style={[styles.input, styles.grow]}
          placeholder="?"
          placeholderTextColor={colour.inkSoft}
        />
        <Button label="+" aria-label={t.oneMore} tone="outline" style={styles.step} onPress={() => step(1)} />
      </View>
      <ChipRow label={t.exactlyOrMore}>
        <Chip kind="checkbox" label={t.thatManyOrMore} chosen={orMore} onPress={() => setOrMore(!orMore)} />
      </ChipRow>
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      <Button
        label={t.recordIt}
        disabled={number === undefined}
        onPress={() => {
          if (number !== undefined) onAnswer({ kind: 'count', number, ...(orMore ? { orMore } : {}) });
        }}
      />
    </View>
  );
}

const UNITS: readonly LengthUnit[] = ['mm', 'cm', 'in'];
type Way = 'type' | 'screen' | 'photo';
const WAYS: readonly { readonly id: Way; readonly label: string }[] = [
  { id: 'type', label: t.typeIt },
  { id: 'screen', label: t.rulerHere },
  { id: 'photo', label: t.fromAPhoto },
];

/** Typed, held to a ruler on the screen, or taken off a photo. */
function Measure({ character, unit, onAnswer }: NumberAnswerProps & { readonly unit: LengthUnit }) {
  const [way, setWay] = useState<Way>('type');
  const record = ({ millimetres, error }: Length) =>
    onAnswer({
      kind: 'measure',
      number: Math.round(millimetres),
      unit: 'mm',
      error: Math.max(1, Math.ceil(error)),
    });
  return (
    <View style={styles.answers}>
      <ChipRow label={t.byWhichMeans}>
        {WAYS.map(({ id, label }) => (
          <Chip key={id} label={label} chosen={way === id} onPress={() => setWay(id)} />
        ))}
      </ChipRow>
      {way === 'photo' ? (
        <MeasureOnPhoto onLength={record} />
      ) : way === 'screen' ? (
        <MeasureOnScreen onLength={record} />
      ) : (
        <Typed character={character} unit={unit} onAnswer={onAnswer} />
      )}
    </View>
  );
}

function Typed({ character, unit, onAnswer }: NumberAnswerProps & { readonly unit: LengthUnit }) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<LengthUnit | undefined>(unit === 'm' ? 'cm' : unit);
  const wrong = chosen === undefined ? undefined : numberProblem(text, character, 'measure', chosen);
  const ready = text.trim() !== '' && wrong === undefined;
  return (
    <>
      <View style={styles.measure}>
        <TextInput
          aria-label={t.measure}
          aria-invalid={wrong !== undefined}
          inputMode="decimal"
          value={text}
          onChangeText={setText}
          style={styles.input}
        />
        <ChipRow label={t.unit}>
          {UNITS.map((u) => (
            <Chip key={u} label={u} chosen={u === chosen} onPress={() => setChosen(u)} />
          ))}
        </ChipRow>
      </View>
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      <Button
        label={t.recordIt}
        disabled={!ready}
        onPress={() => {
          if (chosen) onAnswer({ kind: 'measure', number: Number(text.replace(',', '.')), unit: chosen });
        }}
      />
    </>
  );
}

const styles = StyleSheet.create({
  answers: { gap: space.m },
  stepper: { flexDirection: 'row', gap: space.m, alignItems: 'stretch' },
  step: { width: 88, minHeight: TARGET + 24 },
  grow: { flex: 1, minWidth: 0, textAlign: 'center' },
  measure: { flexDirection: 'row', gap: space.m, alignItems: 'center', flexWrap: 'wrap' },
  input: {
    width: 120,
    minHeight: 56,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: corner,
    backgroundColor: colour.card,
    fontFamily: font.readBold,
    fontSize: typeSize(25),
    color: colour.ink,
    paddingHorizontal: space.m,
  },
});
