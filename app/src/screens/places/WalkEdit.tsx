import { View } from 'react-native';
import { type FieldsOf, isCollectable } from '@pause/core';
import { type Day, dayOf } from '@pause/core/lib/day';
import { Chip, Body, SmallStrong, ChipRow } from '../../components';
import { guide } from '../../deciding/guide';
import type { Ahead } from '../../deciding/season/look';
import { type Changes, toggled } from '../../notebook/changeFields';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/walk';
import { CommonName } from '../../text/names';
import { isoDayName } from '../../text/places';
import { DayLine, TimeLine, Line } from './Line';
import { type Walk, styles } from './walkStyles';

/** Planning a walk. */

export type Save = (make: (now: Partial<FieldsOf<'walk'>>) => Changes<'walk'>) => void;

interface EditProps {
  readonly today: Day;
  readonly walk: Walk;
  readonly on: string;
  readonly places: readonly Place[];
  readonly list: readonly Ahead[];
  readonly save: Save;
}

export function Edit({ walk, on, today, places, list, save }: EditProps) {
  const chosen = walk.places ?? [];
  return (
    <View style={styles.column}>
      <DayLine
        label={t.onWhichDay}
        value={on}
        today={today}
        back={0}
        ahead={1}
        hint={isoDayName(on)}
        onChange={(text) => {
          if (text !== '') save(() => ({ on: text }));
        }}
      />
      <Group label={t.whereTo}>
        {places
          .filter(({ withheld }) => !withheld)
          .map(({ id, name }) => (
            <Chip
              key={id}
              kind="checkbox"
              label={name}
              chosen={chosen.includes(id)}
              onPress={() => save((now) => ({ places: toggled(now.places, id) }))}
            />
          ))}
      </Group>
      {chosen.length > 0 ? <ForWhat walk={walk} on={on} list={list} save={save} /> : null}
      <Group label={t.whoGoesAlong}>
        <Chip
          kind="checkbox"
          label={t.aChild}
          chosen={walk.child === true}
          onPress={() => save((now) => ({ child: now.child !== true }))}
        />
      </Group>
      <TimeLine
        label={t.whenDoYouSetOut}
        value={walk.from ?? ''}
        onChange={(text) => save(() => ({ from: text === '' ? null : text }))}
      />
      <TimeLine
        label={t.backBy}
        value={walk.backBy ?? ''}
        onChange={(text) => save(() => ({ backBy: text === '' ? null : text }))}
      />
      <Line
        label={t.whoKnowsWhereYouAre}
        value={walk.contact ?? ''}
        placeholder={t.aNameANumber}
        onChange={(text) => save(() => ({ contact: text === '' ? null : text }))}
      />
    </View>
  );
}

/** What can be found at the chosen places on that day. */
function ForWhat({ walk, on, list, save }: Pick<EditProps, 'walk' | 'on' | 'list' | 'save'>) {
  const { places = [], targets = [] } = walk;
  const day = dayOf(on);
  const there = list.filter(
    (one) => places.includes(one.place) && one.begins.low <= day && one.ends.high >= day,
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
  return (
    <>
      <Group label={t.forWhatThisCanBe}>
        {wanted.map(({ taxon, part, name }) => (
          <Chip
            key={name}
            kind="checkbox"
            label={name}
            chosen={targets.some((one) => one.taxon === taxon && one.part === part)}
            onPress={() =>
              save(({ targets: now = [] }) => {
                const rest = now.filter((one) => !(one.taxon === taxon && one.part === part));
                return { targets: rest.length < now.length ? rest : [...now, { taxon, part }] };
              })
            }
          />
        ))}
      </Group>
      {wanted.length === 0 ? <Body>{t.nothingThatWasSeenAt}</Body> : null}
    </>
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
