import { View } from 'react-native';
import { type FieldsOf, isCollectable } from '@pause/core';
import { type Day, dayOf } from '@pause/core/lib/day';
import { Chip, Body, SmallStrong, ChipRow } from '../../components';
import { guide } from '../../deciding/guide';
import type { Ahead } from '../../deciding/season/look';
import { type Changes, toggled } from '../../notebook/changeFields';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/places';
import { CommonName } from '../../text/names';
import { isoDayName } from '../../text/places';
import { DayLine, TimeLine, Line } from './Line';
import { type Walk, styles } from './walkStyles';

/** Planning a walk. */

export type Save = (make: (now: Partial<FieldsOf<'walk'>>) => Changes<'walk'>) => void;

export function Edit({
  walk,
  on,
  today,
  places,
  list,
  save,
}: {
  readonly today: Day;
  readonly walk: Walk;
  readonly on: string;
  readonly places: readonly Place[];
  readonly list: readonly Ahead[];
  readonly save: Save;
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
        {known.map(({ id, name }) => (
          <Chip
            key={id}
            kind="checkbox"
            label={name}
            chosen={chosen.includes(id)}
            onPress={() => save((now) => ({ places: toggled(now.places, id) }))}
          />
        ))}
      </Group>
      {chosen.length > 0 ? (
        <Group label={t.forWhatThisCanBe}>
          {wanted.map(({ taxon, part, name }) => (
            <Chip
              key={name}
              kind="checkbox"
              label={name}
              chosen={has({ taxon, part })}
              onPress={() =>
                save(({ targets: now = [] }) => {
                  const rest = now.filter((one) => !(one.taxon === taxon && one.part === part));
                  return { targets: rest.length < now.length ? rest : [...now, { taxon, part }] };
                })
              }
            />
          ))}
        </Group>
      ) : null}
      {chosen.length > 0 && wanted.length === 0 ? <Body>{t.nothingThatWasSeenAt}</Body> : null}
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

function Group({ label, children }: { readonly label: string; readonly children: React.ReactNode }) {
  return (
    <View style={styles.field}>
      <SmallStrong>{label}</SmallStrong>
      <ChipRow label={label}>{children}</ChipRow>
    </View>
  );
}
