import { useState } from 'react';
import { edited, type FindRecord, type Position } from '@pause/core';
import { Body, Button, Chip, ChipRow, Heading, Small, SmallStrong, Stack, Row } from '../../components';
import { write, type Overwrite } from '../../notebook/actions';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { t } from '../../text/en/find';
import { memberName } from '../../text/people';
import { Written } from './Written';

function positionWords({
  decimalLatitude,
  decimalLongitude,
  coordinateUncertaintyInMeters,
}: Position): string {
  const words = `${decimalLatitude.toFixed(5)}, ${decimalLongitude.toFixed(5)}`;
  return coordinateUncertaintyInMeters
    ? t.positionWithin(words, Math.round(coordinateUncertaintyInMeters))
    : words;
}

/** Where it was: the finder's secret, shown to whom the finder chose. */
export function Place({ record }: { readonly record: FindRecord }) {
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!person) return null;
  return (
    <Stack gap="s">
      <Heading>{t.whereItWas}</Heading>
      {record.person === person.id ? (
        <Own record={record} group={group} demo={person.demo} />
      ) : (
        <Others record={record} finder={group ? memberName(group, record.person) : t.theFinder} />
      )}
    </Stack>
  );
}

/** What another's find tells of its place. */
function Others({ record, finder }: { readonly record: FindRecord; readonly finder: string }) {
  const position = edited(record, 'position').now;
  if (
    position?.withheld &&
    position.value &&
    typeof position.value === 'object' &&
    'decimalLatitude' in position.value
  ) {
    const { decimalLatitude, decimalLongitude } = position.value;
    return (
      <Body>{t.somewhereInTheSquareOf(decimalLatitude.toFixed(2), decimalLongitude.toFixed(2), finder)}</Body>
    );
  }
  const saved =
    position?.value && typeof position.value === 'object' && 'decimalLatitude' in position.value
      ? position.value
      : undefined;
  if (!record.placeNote && !saved) return <Body>{t.keepsIt(finder)}</Body>;
  return <Body>{[record.placeNote, saved && positionWords(saved)].filter(Boolean).join(' · ')}</Body>;
}

/** The position of the demo's phone, which is simulated and says so. */
const DEMO_POSITION: Position = {
  decimalLatitude: 46.51234,
  decimalLongitude: 12.19876,
  coordinateUncertaintyInMeters: 12,
};

interface OwnProps {
  readonly record: FindRecord;
  readonly group: Group | undefined;
  readonly demo: boolean;
}

function Own({ record, group, demo }: OwnProps) {
  return (
    <>
      <Written
        record={record}
        field="placeNote"
        label={t.whereInYourOwnWords}
        placeholder={t.inYourOwnWordsMay}
        most={200}
        first={record.placeNote}
      />
      <WhereIStand record={record} demo={demo} />
      {group ? <WhoSees record={record} group={group} /> : <Small soft>{t.thisFindIsInYour}</Small>}
    </>
  );
}

/** Puts down where the phone is, and forgets it. */
function WhereIStand({ record, demo }: Omit<OwnProps, 'group'>) {
  const act = useAct();
  const [message, setMessage] = useState<string | undefined>();
  const position = edited(record, 'position').now?.value;
  const save = (value: Position | null) => void act(write(record.id, { field: 'position', value }));
  const locate = () => {
    setMessage(undefined);
    if (demo) save(DEMO_POSITION);
    else if (!('geolocation' in navigator)) setMessage(t.thisBrowserDoesNotGive);
    else
      navigator.geolocation.getCurrentPosition(
        ({ coords }) =>
          save({
            decimalLatitude: coords.latitude,
            decimalLongitude: coords.longitude,
            coordinateUncertaintyInMeters: Math.min(100_000, Math.max(1, coords.accuracy)),
          }),
        () => setMessage(t.thePhoneDidNotGive),
        { enableHighAccuracy: true, timeout: 20_000 },
      );
  };
  return (
    <>
      <Row wrap gap="m" align="centre">
        <Button
          label={position ? t.putDownAgainWhereI : t.putDownWhereIStand}
          tone="outline"
          onPress={locate}
        />
        {position ? <Button label={t.forgetIt} tone="plain" onPress={() => save(null)} /> : null}
      </Row>
      {position ? <Small>{positionWords(position)}</Small> : null}
      {demo ? <Small soft>{t.theDemoHasNoReal}</Small> : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
    </>
  );
}

/** Who of the group sees the exact place, and what the others see. */
function WhoSees({ record, group }: { readonly record: FindRecord; readonly group: Group }) {
  const act = useAct();
  const position = edited(record, 'position').now?.value;
  const exactFor = edited(record, 'exactFor').now?.value ?? 'finder';
  const others = edited(record, 'others').now?.value ?? 'nothing';
  const some = Array.isArray(exactFor) ? exactFor : [];
  /** Whoever may see more by this gets the place again, as they may know it now. */
  const save = (edit: Extract<Overwrite, { readonly field: 'exactFor' | 'others' }>) =>
    void act(
      write(
        record.id,
        edit,
        ...(record.placeNote ? [{ field: 'placeNote' as const, value: record.placeNote }] : []),
        ...(position ? [{ field: 'position' as const, value: position }] : []),
      ),
    );
  const toggle = (person: string) => {
    const next = some.includes(person) ? some.filter((one) => one !== person) : [...some, person];
    save({ field: 'exactFor', value: next.length > 0 ? next : 'finder' });
  };
  return (
    <>
      <SmallStrong>{t.whoMaySeeTheExact}</SmallStrong>
      <ChipRow label={t.whoMaySeeTheExact}>
        <Chip
          label={t.onlyMe}
          chosen={exactFor === 'finder'}
          onPress={() => save({ field: 'exactFor', value: 'finder' })}
        />
        <Chip
          label={t.allOf(group.name)}
          chosen={exactFor === 'group'}
          onPress={() => save({ field: 'exactFor', value: 'group' })}
        />
        {group.members
          .filter((m) => m.person !== record.person)
          .map(({ person, name }) => (
            <Chip
              key={person}
              kind="checkbox"
              label={name}
              chosen={some.includes(person)}
              onPress={() => toggle(person)}
            />
          ))}
      </ChipRow>
      {exactFor === 'group' ? null : (
        <TheOthers others={others} onChoose={(value) => save({ field: 'others', value })} />
      )}
      <Small soft>{t.whatSomebodyWasToldCannot}</Small>
    </>
  );
}

interface TheOthersProps {
  readonly others: 'nothing' | 'cell';
  readonly onChoose: (others: 'nothing' | 'cell') => void;
}

function TheOthers({ others, onChoose }: TheOthersProps) {
  return (
    <>
      <SmallStrong>{t.andTheOthers}</SmallStrong>
      <ChipRow label={t.whatOthersSee}>
        <Chip label={t.nothing} chosen={others === 'nothing'} onPress={() => onChoose('nothing')} />
        <Chip
          label={t.aSquareOfElevenKilometres}
          chosen={others === 'cell'}
          onPress={() => onChoose('cell')}
        />
      </ChipRow>
    </>
  );
}
