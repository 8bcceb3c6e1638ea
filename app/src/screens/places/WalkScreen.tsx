import { useLocalSearchParams, useRouter } from 'expo-router';
import { useState, useMemo } from 'react';
import { View } from 'react-native';
import { currentFields } from '@pause/core';
import { isoOf } from '@pause/core/lib/day';
import { Screen, Loading, Notice, Small, Title, Button } from '../../components';
import { saveFile } from '../../lib/files';
import { changeFields } from '../../notebook/changeFields';
import { useApp, useAct } from '../../notebook/store';
import { usePlaces, type Place, useDay } from '../../notebook/usePlaces';
import { t as placesText } from '../../text/en/places';
import { t } from '../../text/en/walk';
import { isoDayName } from '../../text/places';
import { useAhead } from './useAhead';
import { type Save, Edit } from './WalkEdit';
import { Sheet } from './WalkSheet';
import { type Walk, styles } from './walkStyles';

/** A walk: where to, for what, and the sheet to take along. */
export function WalkScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const router = useRouter();
  const { ready, places } = usePlaces();
  const page = useApp((state) => state.pages.all[id]);
  if (!ready)
    return (
      <Screen>
        <Loading what={placesText.openingTheNotebook} />
      </Screen>
    );
  if (page?.kind !== 'walk')
    return (
      <Screen>
        <Notice
          whole
          title={t.thereIsNoSuchWalk}
          text={placesText.orItIsInA}
          action={t.theWeek}
          onAction={() => router.replace('/week')}
        />
      </Screen>
    );
  return (
    <Screen>
      <OneWalk id={id} walk={currentFields(page, 'walk')} places={places} />
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
  const save: Save = (make) => void act(changeFields(id, 'walk', make));
  const on = walk.on ?? isoOf(today);
  const going = useMemo(
    () => places.filter((place) => walk.places?.includes(place.id)),
    [places, walk.places],
  );
  const { looked } = useAhead(places);
  return (
    <>
      <View>
        <Small soft>{t.aWalk(walk.child === true)}</Small>
        <Title>{isoDayName(on)}</Title>
      </View>
      <View style={styles.ways} {...NOT_PRINTED}>
        <Button
          label={editing ? t.showTheSheet : t.changeIt}
          tone={editing ? 'ink' : 'outline'}
          onPress={() => setEditing(!editing)}
        />
        {editing || going.length === 0 ? null : (
          <Button label={t.printIt} tone="outline" onPress={() => window.print()} />
        )}
        {editing || going.length === 0 ? null : (
          <Button
            label={t.intoMyCalendar}
            tone="outline"
            onPress={() => void intoCalendar(id, on, walk, going)}
          />
        )}
      </View>
      {editing ? (
        <Edit walk={walk} on={on} today={today} places={places} list={looked?.list ?? []} save={save} />
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
      t.pause,
      [
        {
          id,
          title: t.walk(going.map(({ name }) => name).join(', ')),
          when: { from: at(from), to: at(backBy ?? '17:00') },
          ...(contact ? { text: t.knowsWhereYouAre(contact) } : {}),
        },
      ],
      new Date(),
    ),
  );
}
