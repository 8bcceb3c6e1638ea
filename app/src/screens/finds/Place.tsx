import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { edited, type FindRecord, type Position } from '@pause/core';
import { Body, Button, Chip, ChipRow, Heading, Small, SmallStrong, space } from '../../components';
import { write } from '../../notebook/actions';
import type { Group } from '../../notebook/api';
import { useAct, useApp } from '../../notebook/store';
import { memberName } from '../../text/people';
import { Written } from './Written';

const positionWords = ({ decimalLatitude, decimalLongitude, coordinateUncertaintyInMeters }: Position) =>
  `${decimalLatitude.toFixed(5)}, ${decimalLongitude.toFixed(5)}${coordinateUncertaintyInMeters ? `, within ${Math.round(coordinateUncertaintyInMeters)} m` : ''}`;

/** Where it was: the finder's secret, told to whom the finder chose. */
export function Place({ record }: { readonly record: FindRecord }) {
  const person = useApp((state) => state.me.person);
  const group = person?.groups.find((one) => one.id === record.group);
  if (!person) return null;
  return (
    <View style={styles.block}>
      <Heading>Where it was</Heading>
      {record.person === person.id ? (
        <Own record={record} group={group} demo={person.demo} />
      ) : (
        <Others record={record} finder={group ? memberName(group, record.person) : 'The finder'} />
      )}
    </View>
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
      <Body>
        Somewhere in the square of eleven kilometres around {decimalLatitude.toFixed(2)},{' '}
        {decimalLongitude.toFixed(2)}. {finder} keeps the rest.
      </Body>
    );
  }
  const saved =
    position?.value && typeof position.value === 'object' && 'decimalLatitude' in position.value
      ? position.value
      : undefined;
  if (!record.placeNote && !saved) return <Body>{finder} keeps it.</Body>;
  return <Body>{[record.placeNote, saved && positionWords(saved)].filter(Boolean).join(' · ')}</Body>;
}

/** The demo's phone stands here, and says that it does not really. */
const DEMO_POSITION: Position = {
  decimalLatitude: 46.51234,
  decimalLongitude: 12.19876,
  coordinateUncertaintyInMeters: 12,
};

function Own({
  record,
  group,
  demo,
}: {
  readonly record: FindRecord;
  readonly group: Group | undefined;
  readonly demo: boolean;
}) {
  const act = useAct();
  const [message, setMessage] = useState<string | undefined>();
  const position = edited(record, 'position').now?.value as Position | null | undefined;
  const exactFor = (edited(record, 'exactFor').now?.value ?? 'finder') as 'finder' | 'group' | string[];
  const others = (edited(record, 'others').now?.value ?? 'nothing') as 'nothing' | 'cell';
  /** Whoever is told more by this hears the place again, as they may know it now. */
  const save = (field: 'exactFor' | 'others', value: unknown) =>
    void act(
      write(
        record.id,
        { field, value } as never,
        ...(record.placeNote ? [{ field: 'placeNote' as const, value: record.placeNote }] : []),
        ...(position ? [{ field: 'position' as const, value: position }] : []),
      ),
    );
  const stand = () => {
    setMessage(undefined);
    if (demo) {
      void act(write(record.id, { field: 'position', value: DEMO_POSITION }));
      return;
    }
    if (!('geolocation' in navigator)) {
      setMessage('This browser does not give its position.');
      return;
    }
    navigator.geolocation.getCurrentPosition(
      ({ coords }) =>
        void act(
          write(record.id, {
            field: 'position',
            value: {
              decimalLatitude: coords.latitude,
              decimalLongitude: coords.longitude,
              coordinateUncertaintyInMeters: Math.min(100_000, Math.max(1, coords.accuracy)),
            },
          }),
        ),
      () => setMessage('The phone did not give its position. It may not be allowed to.'),
      { enableHighAccuracy: true, timeout: 20_000 },
    );
  };
  const some = Array.isArray(exactFor) ? exactFor : [];
  return (
    <>
      <Written
        record={record}
        field="placeNote"
        label="Where, in your own words"
        placeholder="In your own words; may stay empty"
        most={200}
        first={record.placeNote}
      />
      <View style={styles.ways}>
        <Button
          label={position ? 'Put down again where I stand' : 'Put down where I stand'}
          tone="outline"
          onPress={stand}
        />
        {position ? (
          <Button
            label="Forget it"
            tone="plain"
            onPress={() => void act(write(record.id, { field: 'position', value: null }))}
          />
        ) : null}
      </View>
      {position ? <Small>{positionWords(position)}</Small> : null}
      {demo ? (
        <Small soft>The demo has no real position: a simulated phone stands in for yours.</Small>
      ) : null}
      {message ? <SmallStrong role="alert">{message}</SmallStrong> : null}
      {group ? (
        <>
          <SmallStrong>Who may see the exact place?</SmallStrong>
          <ChipRow label="Who may see the exact place?">
            <Chip label="Only me" chosen={exactFor === 'finder'} onPress={() => save('exactFor', 'finder')} />
            <Chip
              label={`All of ${group.name}`}
              chosen={exactFor === 'group'}
              onPress={() => save('exactFor', 'group')}
            />
            {group.members
              .filter((m) => m.person !== record.person)
              .map(({ person, name }) => (
                <Chip
                  key={person}
                  kind="checkbox"
                  label={name}
                  chosen={some.includes(person)}
                  onPress={() => {
                    const next = some.includes(person)
                      ? some.filter((one) => one !== person)
                      : [...some, person];
                    save('exactFor', next.length > 0 ? next : 'finder');
                  }}
                />
              ))}
          </ChipRow>
          {exactFor === 'group' ? null : (
            <>
              <SmallStrong>And the others?</SmallStrong>
              <ChipRow label="What others see">
                <Chip
                  label="Nothing"
                  chosen={others === 'nothing'}
                  onPress={() => save('others', 'nothing')}
                />
                <Chip
                  label="A square of eleven kilometres"
                  chosen={others === 'cell'}
                  onPress={() => save('others', 'cell')}
                />
              </ChipRow>
            </>
          )}
          <Small soft>
            What somebody was told cannot be untold; a narrower choice counts for devices that have not heard
            it yet.
          </Small>
        </>
      ) : (
        <Small soft>This find is in your own notebook; nobody else sees it.</Small>
      )}
    </>
  );
}

const styles = StyleSheet.create({
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m, alignItems: 'center' },
});
