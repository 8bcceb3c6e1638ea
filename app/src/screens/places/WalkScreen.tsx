import { type FieldsOf, standing, isCollectable } from '@pause/core';
import { type Told, tellOf, toggled } from '../../notebook/tell';
import { useLocalSearchParams, useRouter } from 'expo-router';
import { usePlaces, type Place, useDay } from '../../notebook/usePlaces';
import { useApp, useAct } from '../../notebook/store';
import {
  Screen,
  Loading,
  Notice,
  Small,
  Title,
  Button,
  Chip,
  Body,
  SmallStrong,
  ChipRow,
} from '../../components';
import { type Walk, styles } from './walkStyles';
import { useState, useMemo } from 'react';
import { isoOf, type Day, dayOf } from '@pause/core/lib/day';
import { useAhead } from './useAhead';
import { View } from 'react-native';
import { isoDayName } from '../../text/places';
import { Sheet } from './WalkSheet';
import { saveFile } from '../../lib/files';
import type { Ahead } from '../../deciding/season/look';
import { guide } from '../../deciding/guide';
import { CommonName } from '../../text/names';
import { DayLine, TimeLine, Line } from './Line';

type Tell = (make: (now: Partial<FieldsOf<'walk'>>) => Told<'walk'>) => void;

/** A walk: where to, for what, and the sheet to take along. */
export function WalkScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { ready, places } = usePlaces();
  const page = useApp((state) => state.pages.all[id]);
  if (!ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  if (page?.kind !== 'walk')
    return (
      <Screen>
        <Notice
          whole
          title="There is no such walk"
          text="Or it is in a notebook that you do not read."
          action="The week"
          onAction={() => router.replace('/week')}
        />
      </Screen>
    );
  return (
    <Screen>
      <OneWalk id={id} walk={standing(page, 'walk')} places={places} />
    </Screen>
  );
}

function OneWalk({
  id,
  walk,
  places,
}: {
  readonly id: string;
  readonly walk: Walk;
  readonly places: readonly Place[];
}) {
  const act = useAct();
  const today = useDay();
  const [editing, setEditing] = useState((walk.places ?? []).length === 0);
  const tell: Tell = (make) => void act(tellOf(id, 'walk', make));
  const on = walk.on ?? isoOf(today);
  const going = useMemo(
    () => places.filter((place) => walk.places?.includes(place.id)),
    [places, walk.places],
  );
  const { looked } = useAhead(places);
  return (
    <>
      <View>
        <Small soft>A walk{walk.child ? ', with a child' : ''}</Small>
        <Title>{isoDayName(on)}</Title>
      </View>
      <View style={styles.ways} {...NOT_PRINTED}>
        <Button
          label={editing ? 'Show the sheet' : 'Change it'}
          tone={editing ? 'ink' : 'outline'}
          onPress={() => setEditing(!editing)}
        />
        {editing || going.length === 0 ? null : (
          <Button label="Print it" tone="outline" onPress={() => window.print()} />
        )}
        {editing || going.length === 0 ? null : (
          <Button
            label="Into my calendar"
            tone="outline"
            onPress={() => void intoCalendar(id, on, walk, going)}
          />
        )}
      </View>
      {editing ? (
        <Edit walk={walk} on={on} today={today} places={places} list={looked?.list ?? []} tell={tell} />
      ) : (
        <Sheet walk={walk} on={on} going={going} />
      )}
    </>
  );
}

/** What is left out on paper. */
const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

async function intoCalendar(
  id: string,
  on: string,
  { from = '09:00', backBy, contact }: Walk,
  going: readonly Place[],
): Promise<void> {
  const { toCalendar } = await import('@pause/core/formats/files');
  const at = (time: string) => new Date(`${on}T${time}:00`);
  saveFile(
    `walk-${on}.ics`,
    'text/calendar',
    toCalendar(
      'Pause',
      [
        {
          id,
          title: `Walk: ${going.map(({ name }) => name).join(', ')}`,
          when: { from: at(from), to: at(backBy ?? '17:00') },
          ...(contact ? { text: `${contact} knows where you are.` } : {}),
        },
      ],
      new Date(),
    ),
  );
}

function Edit({
  walk,
  on,
  today,
  places,
  list,
  tell,
}: {
  readonly today: Day;
  readonly walk: Walk;
  readonly on: string;
  readonly places: readonly Place[];
  readonly list: readonly Ahead[];
  readonly tell: Tell;
}) {
  const chosen = walk.places ?? [];
  const targets = walk.targets ?? [];
  const day = dayOf(on);
  const known = places.filter(({ withheld }) => !withheld);
  const there = list.filter(
    (one) => chosen.includes(one.place) && one.begins.low <= day && one.ends.high >= day,
  );
  const wanted = [...new Map(there.map((one) => [`${one.taxon} ${one.part}`, one])).values()].flatMap(
    (one) => {
      const taxon = guide.taxon(one.taxon);
      const part = taxon && isCollectable(taxon) ? taxon.taxon.parts[one.part] : undefined;
      return part
        ? [{ taxon: one.taxon, part: part.part, name: `${CommonName(one.taxon)}, ${part.name}` }]
        : [];
    },
  );
  const has = (one: { taxon: string; part: string }) =>
    targets.some(({ taxon, part }) => taxon === one.taxon && part === one.part);
  return (
    <View style={styles.column}>
      <DayLine
        label="On which day"
        value={on}
        today={today}
        back={0}
        ahead={1}
        hint={isoDayName(on)}
        onTell={(text) => {
          if (text !== '') tell(() => ({ on: text }));
        }}
      />
      <Group label="Where to">
        {known.map(({ id, name }) => (
          <Chip
            key={id}
            kind="checkbox"
            label={name}
            chosen={chosen.includes(id)}
            onPress={() => tell((now) => ({ places: toggled(now.places, id) }))}
          />
        ))}
      </Group>
      {chosen.length > 0 ? (
        <Group label="For what? This can be there on that day.">
          {wanted.map(({ taxon, part, name }) => (
            <Chip
              key={name}
              kind="checkbox"
              label={name}
              chosen={has({ taxon, part })}
              onPress={() =>
                tell(({ targets: now = [] }) => {
                  const rest = now.filter((one) => !(one.taxon === taxon && one.part === part));
                  return { targets: rest.length < now.length ? rest : [...now, { taxon, part }] };
                })
              }
            />
          ))}
        </Group>
      ) : null}
      {chosen.length > 0 && wanted.length === 0 ? (
        <Body>Nothing that was seen at these places is about on that day.</Body>
      ) : null}
      <Group label="Who goes along">
        <Chip
          kind="checkbox"
          label="A child"
          chosen={walk.child === true}
          onPress={() => tell((now) => ({ child: now.child !== true }))}
        />
      </Group>
      <TimeLine
        label="When do you set out?"
        value={walk.from ?? ''}
        onTell={(text) => tell(() => ({ from: text === '' ? null : text }))}
      />
      <TimeLine
        label="Back by"
        value={walk.backBy ?? ''}
        onTell={(text) => tell(() => ({ backBy: text === '' ? null : text }))}
      />
      <Line
        label="Who knows where you are?"
        value={walk.contact ?? ''}
        placeholder="A name, a number"
        onTell={(text) => tell(() => ({ contact: text === '' ? null : text }))}
      />
    </View>
  );
}

function Group({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <View style={styles.field}>
      <SmallStrong>{label}</SmallStrong>
      <ChipRow label={label}>{children}</ChipRow>
    </View>
  );
}
