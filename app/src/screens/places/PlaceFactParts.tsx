import { useState } from 'react';
import { View } from 'react-native';
import type { FieldsOf } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { readNumber } from '@pause/core/lib/typed';
import { SmallStrong, ChipRow, Chip, Button, Small, Field } from '../../components';
import { type Changes, toggled } from '../../notebook/changeFields';
import { type Place, usePlaces, useDay } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { shapeWords } from '../../text/places';
import { DrawShape } from './DrawShape';
import { DayLine, Line } from './Line';
import { styles } from './placeFactStyles';

/** The single facts of a place. */

type Fields = FieldsOf<'place'>;
export type Save = (changes: Changes<'place'>) => void;

/** Records what is worked out from the newest value. */
export type ChangeMade = (make: (now: Partial<Fields>) => Changes<'place'>) => void;

/** As many as a page holds, each no longer than a name. */
export function companionsOf(text: string): string[] | null {
  const all = text
    .split(/[,;\n]/)
    .map((one) => one.trim().slice(0, 120))
    .filter((one) => one !== '')
    .slice(0, 60);
  return all.length > 0 ? all : null;
}

/** Whoever may see more by a choice gets everything again, as they may see it now. */
export const placeForGroup = (fields: Partial<Fields>, exactFor: 'group') => ({ ...fields, exactFor });

export function ChipGroup({
  label,
  children,
}: {
  readonly label: string;
  readonly children: React.ReactNode;
}) {
  return (
    <View style={styles.field}>
      <SmallStrong>{label}</SmallStrong>
      <ChipRow label={label}>{children}</ChipRow>
    </View>
  );
}

export function One<T extends string>({
  label,
  words,
  chosen,
  onChange,
}: {
  readonly label: string;
  readonly words: Readonly<Record<T, string>>;
  readonly chosen: T | undefined;
  readonly onChange: (value: T | null) => void;
}) {
  return (
    <ChipGroup label={label}>
      {(Object.keys(words) as T[]).map((id) => (
        <Chip
          key={id}
          label={words[id]}
          chosen={chosen === id}
          onPress={() => onChange(chosen === id ? null : id)}
        />
      ))}
    </ChipGroup>
  );
}

export function Many<T extends string>({
  label,
  words,
  chosen,
  none,
  onChange,
}: {
  readonly label: string;
  readonly words: Readonly<Record<T, string>>;
  readonly chosen: readonly T[] | undefined;
  readonly none?: string;
  readonly onChange: (make: (now: readonly T[] | undefined) => T[]) => void;
}) {
  return (
    <ChipGroup label={label}>
      {none === undefined ? null : (
        <Chip kind="checkbox" label={none} chosen={chosen?.length === 0} onPress={() => onChange(() => [])} />
      )}
      {(Object.keys(words) as T[]).map((id) => (
        <Chip
          key={id}
          kind="checkbox"
          label={words[id]}
          chosen={chosen?.includes(id) === true}
          onPress={() => onChange((now) => toggled(now, id))}
        />
      ))}
    </ChipGroup>
  );
}

/** Where it is on the map, drawn anew. */
export function Where({ place, save }: { readonly place: Place; readonly save: Save }) {
  const { places } = usePlaces();
  const [drawing, setDrawing] = useState(false);
  const { shape } = place.fields;
  return (
    <View style={styles.field}>
      <SmallStrong>{t.whereItIs}</SmallStrong>
      {drawing ? (
        <DrawShape
          shape={shape}
          places={places}
          onDone={(drawn) => {
            save({ shape: drawn });
            setDrawing(false);
          }}
          onAway={() => setDrawing(false)}
        />
      ) : (
        <View style={styles.ways}>
          <Button
            label={shape ? t.drawItAnew : t.drawItOnTheMap}
            tone="outline"
            onPress={() => setDrawing(true)}
          />
          <Small>{shape ? shapeWords(shape) : t.nobodyDrewItYet}</Small>
        </View>
      )}
    </View>
  );
}

export function Height({
  elevation,
  onChange,
}: {
  readonly elevation: number | undefined;
  readonly onChange: (metres: number | null) => void;
}) {
  const [text, setText] = useState(elevation === undefined ? '' : String(elevation));
  const number = readNumber(text);
  const wrong = number !== undefined && !(number >= -500 && number <= 9000);
  return (
    <Field
      label={t.metresAboveTheSea}
      inputMode="decimal"
      value={text}
      onChangeText={setText}
      {...(wrong ? { wrong: t.aHeightFrom500To } : {})}
      onBlur={() => {
        if (!wrong) onChange(number ?? null);
      }}
    />
  );
}

export function Until({
  until,
  onChange,
}: {
  readonly until: string | undefined;
  readonly onChange: (day: string | undefined) => void;
}) {
  return (
    <DayLine
      label={t.lastDayOnWhichThe}
      value={until ?? ''}
      today={useDay()}
      back={5}
      ahead={20}
      onChange={(text) => onChange(text === '' ? undefined : text)}
    />
  );
}

/** How it is known, as of today. */
export function Source({ place, save }: { readonly place: Place; readonly save: Save }) {
  const today = isoOf(useDay());
  return (
    <Line
      label={t.howDoYouKnow}
      value={place.fields.source?.text ?? ''}
      most={120}
      onChange={(text) => save({ source: text === '' ? null : { text, on: today } })}
    />
  );
}
