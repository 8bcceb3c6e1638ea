import { useMemo, useState, useEffect } from 'react';
import { View } from 'react-native';
import type { AskedPlan, Case } from '@pause/core';
import { monthOf, dayOf } from '@pause/core/lib/day';
import { middleOf } from '@pause/core/notebook/page/shape';
import { orderOfPlaces, legs, daylight, kitFor, lookalikesToExpect } from '@pause/core/outings';
import { useWide, Body, Strong, Heading, Rule, Small } from '../../components';
import { guide } from '../../deciding/guide';
import { type Thunk, useAct } from '../../notebook/store';
import type { Place } from '../../notebook/usePlaces';
import { t } from '../../text/en/walk';
import { CommonName, timeWords, lowerFirst, commonName } from '../../text/names';
import { few } from '../../text/reasons';
import { type Target, Stop, Kit } from './WalkStop';
import { type Walk, styles } from './walkStyles';

/** The sheet of a walk. */

const TIME = new Intl.DateTimeFormat(undefined, { hour: '2-digit', minute: '2-digit', hourCycle: 'h23' });

/** The checks of each target from nothing on, as they will be asked out there. */
function plansOf(targets: readonly Target[], month: number): Thunk<Promise<ReadonlyMap<string, AskedPlan>>> {
  return async (_, __, { evaluator }) => {
    const plans = new Map<string, AskedPlan>();
    for (const { taxon, part } of targets) {
      const find: Case = {
        guide: { id: guide.guide.id },
        kingdom: taxon.taxon.kingdom,
        bodyPlan: taxon.taxon.bodyPlan,
        target: taxon.id,
        pieces: [
          {
            id: 'planned' as Case['pieces'][number]['id'],
            startedAt: '2026-01-01T00:00:00.000Z',
            purpose: 'decide',
          },
        ],
        readings: [],
        context: { stages: part.stages, part: part.part, use: part.use, month },
      };
      plans.set(taxon.id, await evaluator.planOf(find));
    }
    return plans;
  };
}

interface SheetProps {
  readonly walk: Walk;
  readonly on: string;
  readonly going: readonly Place[];
}

/** One page to take along: the order of the places, what to bring, and what each target asks for. */
export function Sheet({ walk, on, going }: SheetProps) {
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
  const plans = usePlans(targets, month);
  if (going.length === 0) return <Body>{t.chooseWhereToAndFor}</Body>;
  const lowest = going.flatMap(({ fields }) => fields.elevation ?? []).sort((a, b) => a - b)[0];
  return (
    <>
      <Times walk={walk} on={on} going={going} />
      <Strong>{walk.contact ? t.knowsWhereYouAre(walk.contact) : t.tellSomebodyWhereYouGo}</Strong>
      {walk.child ? <Body>{t.withAChildWhatA}</Body> : null}
      <View style={wide ? styles.columns : styles.column}>
        <View style={[styles.block, wide && styles.grow]}>
          <Order on={on} going={going} targets={targets} />
          <Bring walk={walk} going={going} targets={targets} plans={plans} />
        </View>
        <View style={[styles.block, wide && styles.grow]}>
          <Heading>{t.forEachOfThem}</Heading>
          {targets.length === 0 ? <Body>{t.nothingIsChosenToLook}</Body> : null}
          {targets.map((target) => (
            <TargetLines
              key={`${target.taxon.id} ${target.part.part}`}
              target={target}
              plan={plans.get(target.taxon.id)}
              when={{ month, elevation: lowest }}
            />
          ))}
        </View>
      </View>
    </>
  );
}

/** The plans of the targets, by taxon, as they come. */
function usePlans(targets: readonly Target[], month: number): ReadonlyMap<string, AskedPlan> {
  const act = useAct();
  const [plans, setPlans] = useState<ReadonlyMap<string, AskedPlan>>(new Map());
  useEffect(() => {
    let cancelled = false;
    void act(plansOf(targets, month)).then((all) => {
      if (!cancelled) setPlans(all);
    });
    return () => {
      cancelled = true;
    };
  }, [act, month, targets]);
  return plans;
}

/** When to set out, when it is light, and when to be back. */
function Times({ walk, on, going }: SheetProps) {
  const first = going.find(({ fields }) => fields.shape)?.fields.shape;
  const light = first ? daylight(on, middleOf(first)) : {};
  return (
    <Body>
      {[
        walk.from && t.setOutAt(walk.from),
        light.sunrise && t.sunrise(TIME.format(light.sunrise)),
        light.sunset && t.sunset(TIME.format(light.sunset)),
        light.dusk && t.darkAt(TIME.format(light.dusk)),
        walk.backBy && t.backByTime(walk.backBy),
      ]
        .filter(Boolean)
        .join(' · ')}
    </Body>
  );
}

function Order({ on, going, targets }: Omit<SheetProps, 'walk'> & { readonly targets: readonly Target[] }) {
  const stops = going.map(({ id, fields: { shape, elevation } }) => ({ id, shape, elevation }));
  const order = orderOfPlaces(stops);
  const way = new Map(legs(stops, order).map((leg) => [leg.to, leg]));
  return (
    <>
      <Heading>{t.inThisOrder}</Heading>
      <View role="list" aria-label={t.theOrderOfThePlaces}>
        <Rule strong />
        {order.map((id, index) => {
          const place = going.find((one) => one.id === id);
          return place ? (
            <Stop key={id} number={index + 1} place={place} on={on} targets={targets} minutes={way.get(id)} />
          ) : null;
        })}
      </View>
    </>
  );
}

function Bring({
  walk,
  going,
  targets,
  plans,
}: Omit<SheetProps, 'on'> & {
  readonly targets: readonly Target[];
  readonly plans: ReadonlyMap<string, AskedPlan>;
}) {
  const gear = new Map([...plans].map(([id, plan]) => [id, plan.feasible ? plan.gear : []]));
  const kit = kitFor(
    targets.map(({ taxon, part }) => ({ taxon, part: part.part })),
    gear,
    [...new Set(going.flatMap(({ fields }) => fields.hazards ?? []))],
    { child: walk.child === true, moisture: going.flatMap(({ fields }) => fields.moisture ?? []) },
  );
  return (
    <>
      <Heading>{t.bring}</Heading>
      <View role="list" aria-label={t.whatToBring}>
        {kit.map((item) => (
          <Kit key={item.item} item={item} />
        ))}
      </View>
    </>
  );
}

interface TargetLinesProps {
  readonly target: Target;
  readonly plan: AskedPlan | undefined;
  readonly when: { readonly month: number; readonly elevation: number | undefined };
}

/** What one target asks for, and what to look out for. */
function TargetLines({ target: { taxon, part }, plan, when }: TargetLinesProps) {
  const alike = lookalikesToExpect(guide, taxon, when);
  const likely = alike.filter((one) => one.likely).map((one) => commonName(one.taxon.id));
  const unlikely = alike.filter((one) => !one.likely).map((one) => commonName(one.taxon.id));
  return (
    <View style={styles.target}>
      <Strong>
        {CommonName(taxon.id)}, {part.name}
      </Strong>
      {plan ? <Body>{planWords(plan)}</Body> : <Small soft>{t.planning}</Small>}
      <Body>
        {t.lookOutFor(few(likely, 6) || t.nothingThatIsUsualNow)}
        {unlikely.length > 0 ? ` ${t.notUsualNowAndNot(unlikely.join(', '))}` : ''}
      </Body>
    </View>
  );
}

const planWords = (plan: AskedPlan): string =>
  plan.feasible
    ? t.checksAbout(
        plan.checks.length,
        timeWords(plan.seconds),
        plan.checks
          .filter(({ again }) => !again)
          .map(({ character }) => lowerFirst(guide.character(character)?.character.name ?? ''))
          .join(', '),
      )
    : t.atThisStageNotEverything;
