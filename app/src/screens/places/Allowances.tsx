import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { sameValue, type CompiledTaxon, type FieldsOf } from '@pause/core';
import { readNumber } from '@pause/core/lib/typed';
import { taxaSeenAt } from '@pause/core/season';
import { Body, Button, Chip, ChipRow, Field, SmallStrong, space, Strong, Stack, Row } from '../../components';
import { ChooseTaxon } from '../../components/names/ChooseTaxon';
import { guide } from '../../deciding/guide';
import { seenPlace, type Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName, upper } from '../../text/names';
import { pickingWords } from '../../text/places';
import { UNITS } from '../../text/units';

/**
 * What may be picked at a place and how much of it a day: of anything, and of single kinds and their parts.
 */

type Allowance = FieldsOf<'place'>['allowances'][number];
type Unit = NonNullable<Allowance['perDay']>['unit'];
const COUNTED_IN: readonly Unit[] = ['g', 'litre', 'piece', 'handful'];
/** Changes the list, worked out from the newest one. */
type Say = (make: (now: readonly Allowance[]) => readonly Allowance[]) => void;

const isGeneral = ({ taxon, part }: Allowance) => taxon === undefined && part === undefined;
const amountOf = (text: string) => readNumber(text) ?? 0;
const isWrong = (text: string) => text.trim() !== '' && !(amountOf(text) > 0 && amountOf(text) <= 1e6);
const WRONG = t.anAmountAboveNothing;

function Units({ unit, onChoose }: { readonly unit: Unit; readonly onChoose: (unit: Unit) => void }) {
  return (
    <ChipRow label={t.measuredIn}>
      {COUNTED_IN.map((one) => (
        <Chip key={one} label={UNITS[one]} chosen={unit === one} onPress={() => onChoose(one)} />
      ))}
    </ChipRow>
  );
}

export function Allowances({ place, say }: { readonly place: Place; readonly say: Say }) {
  const [adding, setAdding] = useState(false);
  const all = place.fields.allowances ?? [];
  const named = all.filter((one) => !isGeneral(one));
  return (
    <>
      <PerDay all={all} say={say} />
      <Stack gap="xs">
        <SmallStrong>{t.whatIsSaidOfSingle}</SmallStrong>
        {named.map((one) => {
          const words = pickingWords({ code: 'allowance', allowance: one });
          return (
            <Row align="centre" gap="m" key={JSON.stringify(one)}>
              <Body style={styles.grow}>{words}</Body>
              <Button
                label={t.takeAway}
                aria-label={t.takeFactAway(words)}
                tone="plain"
                onPress={() => say((now) => now.filter((other) => !sameValue(other, one)))}
              />
            </Row>
          );
        })}
        {adding ? (
          <Named
            place={place}
            onChange={(one) => {
              say((now) => [
                ...now.filter(({ taxon, part }) => taxon !== one.taxon || part !== one.part),
                one,
              ]);
              setAdding(false);
            }}
            onAway={() => setAdding(false)}
          />
        ) : (
          <Button
            label={t.sayItOfOneKind}
            tone="outline"
            style={styles.start}
            onPress={() => setAdding(true)}
          />
        )}
      </Stack>
    </>
  );
}

/** The most that one person may take in a day, of anything. */
function PerDay({ all, say }: { readonly all: readonly Allowance[]; readonly say: Say }) {
  const general = all.find(isGeneral);
  const amount = general?.perDay ? String(general.perDay.amount) : '';
  const [text, setText] = useState(amount);
  const [unit, setUnit] = useState<Unit>(general?.perDay?.unit ?? 'g');
  const wrong = isWrong(text);
  const put = (of: Unit) => {
    say((now) => [
      ...now.filter((one) => !isGeneral(one)),
      ...(text.trim() === '' ? [] : [{ may: 'yes' as const, perDay: { amount: amountOf(text), unit: of } }]),
    ]);
  };
  return (
    <Stack gap="xs">
      <Field
        label={t.theMostThatOnePerson}
        inputMode="decimal"
        value={text}
        onChangeText={setText}
        placeholder={t.asMuchAsYouLike}
        {...(wrong ? { wrong: WRONG } : {})}
        onBlur={() => {
          if (!wrong && text !== amount) put(unit);
        }}
      />
      <Units
        unit={unit}
        onChoose={(one) => {
          setUnit(one);
          if (!wrong && text.trim() !== '') put(one);
        }}
      />
    </Stack>
  );
}

/** Of one kind, or of one of its parts. */
interface NamedProps {
  readonly place: Place;
  readonly onChange: (allowance: Allowance) => void;
  readonly onAway: () => void;
}

function Named({ place, onChange, onAway }: NamedProps) {
  const [taxon, setTaxon] = useState<CompiledTaxon | undefined>();
  if (taxon)
    return (
      <AllowanceOf taxon={taxon} onChange={onChange} onAnother={() => setTaxon(undefined)} onAway={onAway} />
    );
  const seen = [...taxaSeenAt(seenPlace(place))]
    .flatMap((id) => guide.taxon(id) ?? [])
    .filter((one) => one.taxon.parts.length > 0);
  return (
    <Stack gap="xs">
      <ChooseTaxon label={t.whichKind} placeholder={t.aNameWhatWasSeen} first={seen} onChoose={setTaxon} />
      <Button label={t.notNow} tone="plain" style={styles.start} onPress={onAway} />
    </Stack>
  );
}

interface AllowanceOfProps extends Omit<NamedProps, 'place'> {
  readonly taxon: CompiledTaxon;
  readonly onAnother: () => void;
}

function AllowanceOf({ taxon, onChange, onAnother, onAway }: AllowanceOfProps) {
  const [part, setPart] = useState<string | undefined>();
  const [may, setMay] = useState<Allowance['may']>('yes');
  const [text, setText] = useState('');
  const [unit, setUnit] = useState<Unit>('litre');
  const parts = [...new Map(taxon.taxon.parts.map((one) => [one.part, one.name] as const))];
  const wrong = may === 'yes' && isWrong(text);
  const perDay = may === 'yes' && text.trim() !== '' ? { perDay: { amount: amountOf(text), unit } } : {};
  return (
    <View style={styles.form}>
      <Strong>{CommonName(taxon.id)}</Strong>
      <ChipRow label={t.whichPartOfIt}>
        <Chip label={t.allOfIt} chosen={part === undefined} onPress={() => setPart(undefined)} />
        {parts.map(([id, name]) => (
          <Chip key={id} label={upper(name)} chosen={part === id} onPress={() => setPart(id)} />
        ))}
      </ChipRow>
      <ChipRow label={t.mayItBePickedHere}>
        <Chip label={t.yesHere} chosen={may === 'yes'} onPress={() => setMay('yes')} />
        <Chip label={t.notHereButton} chosen={may === 'no'} onPress={() => setMay('no')} />
      </ChipRow>
      {may === 'yes' ? (
        <>
          <Field
            label={t.theMostOfItThat}
            inputMode="decimal"
            value={text}
            onChangeText={setText}
            placeholder={t.asMuchAsYouLike}
            {...(wrong ? { wrong: WRONG } : {})}
          />
          <Units unit={unit} onChoose={setUnit} />
        </>
      ) : null}
      <Row wrap gap="m">
        <Button
          label={t.putItDown}
          disabled={wrong}
          onPress={() =>
            onChange({ taxon: taxon.id, ...(part === undefined ? {} : { part }), may, ...perDay })
          }
        />
        <Button label={t.anotherKind} tone="plain" onPress={onAnother} />
        <Button label={t.notNow} tone="plain" onPress={onAway} />
      </Row>
    </View>
  );
}

const styles = StyleSheet.create({
  form: { gap: space.m, marginTop: space.xs },
  grow: { flex: 1 },
  start: { alignSelf: 'flex-start' },
});
