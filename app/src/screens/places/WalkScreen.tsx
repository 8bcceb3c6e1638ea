import { useLocalSearchParams, useRouter } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import {
  isCollectable,
  standing,
  type AskedPlan,
  type Case,
  type CompiledTaxon,
  type FieldsOf,
} from '@pause/core';
import { dayOf, isoOf, monthOf, type Day } from '@pause/core/lib/day';
import { middleOf } from '@pause/core/notebook/page/shape';
import {
  dangerousAt,
  daylight,
  groundOf,
  kitFor,
  legs,
  lookalikesToExpect,
  orderOfPlaces,
  pickingAt,
  type KitItem,
} from '@pause/core/outings';
import {
  Body,
  Button,
  Chip,
  ChipRow,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  SmallStrong,
  space,
  Strong,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import type { Ahead } from '../../deciding/season/look';
import { saveFile } from '../../lib/files';
import { useAct, useApp, type Thunk } from '../../notebook/store';
import { tellOf, toggled, type Told } from '../../notebook/tell';
import { useDay, usePlaces, type Place } from '../../notebook/usePlaces';
import { CommonName, commonName, lowerFirst, timeWords, upper } from '../../text/names';
import { HAZARD, isoDayName, KIT, kitReason, metres, pickingWords, siteWords } from '../../text/places';
import { few } from '../../text/reasons';
import { DayLine, Line, TimeLine } from './Line';
import { useAhead } from './useAhead';

type Walk = Partial<FieldsOf<'walk'>>;
type Tell = (make: (now: Partial<FieldsOf<'walk'>>) => Told<'walk'>) => void;
const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

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

interface Target {
  readonly taxon: CompiledTaxon;
  readonly part: CompiledTaxon['taxon']['parts'][number];
}

/** The checks of each target from nothing on, as they will be asked out there. */
function plansOf(targets: readonly Target[], month: number): Thunk<Promise<ReadonlyMap<string, AskedPlan>>> {
  return async (_, __, { evaluator }) => {
    const plans = new Map<string, AskedPlan>();
    for (const { taxon, part } of targets) {
      const find = {
        guide: { id: guide.guide.id },
        kingdom: taxon.taxon.kingdom,
        bodyPlan: taxon.taxon.bodyPlan,
        target: taxon.id,
        pieces: [{ id: 'planned', startedAt: '2026-01-01T00:00:00.000Z', purpose: 'decide' }],
        readings: [],
        context: { stages: part.stages, part: part.part, use: part.use, month },
      } as unknown as Case;
      plans.set(taxon.id, await evaluator.planOf(find));
    }
    return plans;
  };
}

/** One page to take along: the order of the places, what to bring, and what each target asks for. */
function Sheet({
  walk,
  on,
  going,
}: {
  readonly walk: Walk;
  readonly on: string;
  readonly going: readonly Place[];
}) {
  const act = useAct();
  const wide = useWide();
  const month = monthOf(dayOf(on));
  const targets = useMemo(
    () =>
      (walk.targets ?? []).flatMap((one): Target[] => {
        const taxon = guide.taxon(one.taxon);
        const part = taxon?.taxon.parts.find((p) => p.part === one.part);
        return taxon && part ? [{ taxon, part }] : [];
      }),
    [walk.targets],
  );
  const [plans, setPlans] = useState<ReadonlyMap<string, AskedPlan>>(new Map());
  useEffect(() => {
    let gone = false;
    void act(plansOf(targets, month)).then((all) => {
      if (!gone) setPlans(all);
    });
    return () => {
      gone = true;
    };
  }, [act, month, targets]);
  if (going.length === 0) return <Body>Choose where to, and for what.</Body>;
  const stops = going.map(({ id, fields: { shape, elevation } }) => ({ id, shape, elevation }));
  const order = orderOfPlaces(stops);
  const way = new Map(legs(stops, order).map((leg) => [leg.to, leg]));
  const first = going.find(({ fields }) => fields.shape)?.fields.shape;
  const light = first ? daylight(on, middleOf(first)) : {};
  const gear = new Map([...plans].map(([id, plan]) => [id, plan.feasible ? plan.gear : []]));
  const kit = kitFor(
    targets.map(({ taxon, part }) => ({ taxon, part: part.part })),
    gear,
    [...new Set(going.flatMap(({ fields }) => fields.hazards ?? []))],
    { child: walk.child === true, moisture: going.flatMap(({ fields }) => fields.moisture ?? []) },
  );
  const lowest = going.flatMap(({ fields }) => fields.elevation ?? []).sort((a, b) => a - b)[0];
  return (
    <>
      <Body>
        {[
          walk.from && `Set out at ${walk.from}`,
          light.sunrise && `sunrise ${TIME.format(light.sunrise)}`,
          light.sunset && `sunset ${TIME.format(light.sunset)}`,
          light.dusk && `dark at ${TIME.format(light.dusk)}`,
          walk.backBy && `back by ${walk.backBy}`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Body>
      <Strong>
        {walk.contact
          ? `${walk.contact} knows where you are.`
          : 'Tell somebody where you go, and by when you are back.'}
      </Strong>
      {walk.child ? (
        <Body>
          With a child: what a child picks, an adult has checked before. Show what is dangerous first.
        </Body>
      ) : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.block, wide && styles.grow]}>
          <Heading>In this order</Heading>
          <View role="list" aria-label="The order of the places">
            <Rule strong />
            {order.flatMap((id, index) => {
              const place = going.find((one) => one.id === id);
              return place
                ? [
                    <Stop
                      key={id}
                      number={index + 1}
                      place={place}
                      on={on}
                      targets={targets}
                      minutes={way.get(id)}
                    />,
                  ]
                : [];
            })}
          </View>
          <Heading>Bring</Heading>
          <View role="list" aria-label="What to bring">
            {kit.map((item) => (
              <Kit key={item.item} item={item} />
            ))}
          </View>
        </View>
        <View style={[styles.block, wide && styles.grow]}>
          <Heading>For each of them</Heading>
          {targets.length === 0 ? <Body>Nothing is chosen to look for.</Body> : null}
          {targets.map(({ taxon, part }) => {
            const plan = plans.get(taxon.id);
            const alike = lookalikesToExpect(guide, taxon, { month, elevation: lowest });
            return (
              <View key={`${taxon.id} ${part.part}`} style={styles.target}>
                <Strong>
                  {CommonName(taxon.id)}, {part.name}
                </Strong>
                {plan ? (
                  <Body>
                    {plan.feasible
                      ? `${plan.checks.length} checks, about ${timeWords(plan.seconds)}: ${plan.checks
                          .filter(({ again }) => !again)
                          .map(({ character }) =>
                            lowerFirst(guide.character(character)?.character.name ?? ''),
                          )
                          .join(', ')}.`
                      : 'At this stage not everything dangerous can be ruled out: it stays at pause.'}
                  </Body>
                ) : (
                  <Small soft>Planning …</Small>
                )}
                <Body>
                  Look out for{' '}
                  {few(
                    alike.filter(({ likely }) => likely).map((one) => commonName(one.taxon.id)),
                    6,
                  ) || 'nothing that is usual now'}
                  .
                  {alike.some(({ likely }) => !likely)
                    ? ` Not usual now, and not ruled out by that: ${alike
                        .filter(({ likely }) => !likely)
                        .map((one) => commonName(one.taxon.id))
                        .join(', ')}.`
                    : ''}
                </Body>
              </View>
            );
          })}
        </View>
      </View>
    </>
  );
}

function Stop({
  number,
  place,
  on,
  targets,
  minutes,
}: {
  readonly number: number;
  readonly place: Place;
  readonly on: string;
  readonly targets: readonly Target[];
  readonly minutes: ReturnType<typeof legs>[number] | undefined;
}) {
  const { fields } = place;
  const dangers = dangerousAt(place.page.sightings, guide);
  const seen = new Set(place.page.sightings.filter(({ what }) => what === 'seen').map(({ taxon }) => taxon));
  const here = targets.filter(({ taxon }) => seen.has(taxon.id));
  const said = [
    ...new Set(
      here
        .flatMap(({ taxon, part }) => {
          const { permission, reasons } = pickingAt(fields, taxon.id, part.part, on);
          return reasons.length > 0
            ? reasons.map(pickingWords)
            : [permission === 'allowed' ? 'Picking is allowed, as far as you know.' : ''];
        })
        .filter(Boolean),
    ),
  ];
  const { digging } = groundOf(fields);
  return (
    <View role="listitem" style={styles.stop}>
      <Strong>
        {number}. {place.name}
      </Strong>
      <Small soft>
        {[
          siteWords(fields),
          minutes && `${metres(minutes.metres)} from the last one, about ${minutes.minutes} minutes`,
        ]
          .filter(Boolean)
          .join(' · ')}
      </Small>
      {here.length > 0 ? (
        <Body>
          {upper(here.map(({ taxon, part }) => `${commonName(taxon.id)}, ${part.name}`).join('; '))}.
        </Body>
      ) : null}
      {said.map((line) => (
        <Small key={line}>{line}</Small>
      ))}
      {here.some(({ part }) => part.part === 'root') ? (
        <Small>
          {digging === 'never'
            ? 'Do not dig here.'
            : digging === 'hard'
              ? 'Stony ground: digging is slow.'
              : 'Close the ground again after digging.'}
        </Small>
      ) : null}
      {dangers.length > 0 ? <SmallStrong>Dangerous here: {few(dangers.map(commonName))}</SmallStrong> : null}
      {fields.hazards && fields.hazards.length > 0 ? (
        <Small>Mind yourself: {fields.hazards.map((one) => HAZARD[one].toLowerCase()).join(', ')}</Small>
      ) : null}
      <Rule style={styles.under} />
    </View>
  );
}

function Kit({ item: { item, reason } }: { readonly item: KitItem }) {
  return (
    <View role="listitem" style={styles.kit}>
      <Body>{KIT[item] ?? upper(item)}</Body>
      <Small soft style={styles.grow}>
        {kitReason(reason)}
      </Small>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.l },
  field: { gap: space.xs },
  block: { gap: space.s },
  grow: { flex: 1 },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.m },
  stop: { gap: space.xs, paddingTop: space.m },
  under: { marginTop: space.s },
  target: { gap: space.xs, paddingBottom: space.m },
  kit: { flexDirection: 'row', flexWrap: 'wrap', alignItems: 'baseline', columnGap: space.m },
});
