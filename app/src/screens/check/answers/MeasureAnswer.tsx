import { useState } from 'react';
import { StyleSheet, TextInput } from 'react-native';
import type { CharacterId, LengthUnit } from '@pause/core';
import type { Length } from '@pause/core/measuring';
import { Button, Chip, ChipRow, Strong, Stack, Row } from '../../../components';
import { latePart } from '../../../components/latePart';
import { t } from '../../../text/en/answer';
import { numberInput } from './numberInput';
import { numberProblem } from './numberProblem';
import type { AnswerProps, OfKind } from './props';
const MeasureOnPhoto = latePart(() => import('../measuring/onPhoto').then((m) => m.MeasureOnPhoto));
const MeasureOnScreen = latePart(() => import('../measuring/MeasureOnScreen').then((m) => m.MeasureOnScreen));

const UNITS: readonly LengthUnit[] = ['mm', 'cm', 'in'];
type Way = 'type' | 'screen' | 'photo';
const WAYS: readonly { readonly id: Way; readonly label: string }[] = [
  { id: 'type', label: t.typeIt },
  { id: 'screen', label: t.rulerHere },
  { id: 'photo', label: t.fromAPhoto },
];

/** Typed, held to a ruler on the screen, or taken off a photo. */
export function MeasureAnswer({
  character: { id: character, unit },
  onAnswer,
}: AnswerProps<OfKind<'measure'>>) {
  const [way, setWay] = useState<Way>('type');
  const record = ({ millimetres, error }: Length) =>
    onAnswer({
      kind: 'measure',
      number: Math.round(millimetres),
      unit: 'mm',
      error: Math.max(1, Math.ceil(error)),
    });
  return (
    <Stack gap="m">
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
    </Stack>
  );
}

function Typed({
  character,
  unit,
  onAnswer,
}: Pick<AnswerProps<OfKind<'measure'>>, 'onAnswer'> & {
  readonly character: CharacterId;
  readonly unit: LengthUnit;
}) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<LengthUnit | undefined>(unit === 'm' ? 'cm' : unit);
  const wrong = chosen === undefined ? undefined : numberProblem(text, character, 'measure', chosen);
  const ready = text.trim() !== '' && wrong === undefined;
  return (
    <>
      <Row gap="m" align="centre" wrap>
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
      </Row>
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
  input: numberInput,
});
