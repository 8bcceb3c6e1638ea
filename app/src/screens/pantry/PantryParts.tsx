import { useState } from 'react';
import { View } from 'react-native';
import { tasteState } from '@pause/core/pantry/tasting';
import { Heading, Rule, Button } from '../../components';
import { LinkRow } from '../../components/LinkRow';
import { TaxonSmall } from '../../components/plates/late';
import { type BatchPage, type Pantry, leftIn, type PortionPage, sourceOf } from '../../notebook/pantry';
import { useApp } from '../../notebook/store';
import { dayWords } from '../../text/days';
import { t } from '../../text/en/pantry';
import { CommonName } from '../../text/names';
import { METHOD, amountWords } from '../../text/pantry';
import { memberName } from '../../text/people';
import { isoDayName } from '../../text/places';
import { styles } from './pantryStyles';
import { nextTimer } from './Timers';

/** The shelves of the pantry. */

/** So many meals and gifts are shown. */
const LATELY = 8;

interface ShelfProps {
  readonly title: string;
  readonly batches: readonly BatchPage[];
  readonly pantry: Pantry;
  readonly held: ReadonlySet<string>;
  readonly now: Date;
  /** So many are shown at first. */
  readonly first?: number;
}

export function Shelf({ title, batches, pantry, held, now, first = 8 }: ShelfProps) {
  const [all, setAll] = useState(false);
  if (batches.length === 0) return null;
  const shown = all ? batches : batches.slice(0, first);
  return (
    <View style={styles.block}>
      <Heading>{title}</Heading>
      <View role="list" aria-label={title}>
        <Rule strong />
        {shown.map((batch) => (
          <LinkRow
            key={batch.id}
            href={{ pathname: '/batch/[id]', params: { id: batch.id } }}
            before={<TaxonSmall of={batch.fields.contents?.[0]?.taxon} height={52} />}
            name={batch.fields.name ?? t.aBatch}
            line={lineOf(batch, now)}
            end={held.has(batch.id) ? t.inQuestion : endOf(pantry, batch)}
          />
        ))}
      </View>
      {shown.length < batches.length ? (
        <Button
          label={t.all(batches.length)}
          tone="plain"
          style={styles.start}
          onPress={() => setAll(true)}
        />
      ) : null}
    </View>
  );
}

function lineOf({ fields }: BatchPage, now: Date): string {
  const { method, on, bestBefore, readyOn } = fields;
  const timer = readyOn === undefined ? nextTimer(fields, now) : undefined;
  return [
    method && METHOD[method][1],
    readyOn === undefined
      ? on && t.begun(isoDayName(on))
      : bestBefore && t.bestBefore(isoDayName(bestBefore)),
    timer,
  ]
    .filter(Boolean)
    .join(' · ');
}

function endOf(pantry: Pantry, batch: BatchPage): string | undefined {
  if (batch.fields.ended)
    return { 'used-up': t.usedUp, 'thrown-out': t.thrownOut, spoilt: t.hasSpoilt }[batch.fields.ended.why];
  const left = leftIn(pantry, batch);
  return left === undefined ? undefined : left.amount === 0 ? t.usedUp : amountWords(left);
}

/** First tastes that are being waited for. */
export function Tastes({ pantry, now }: { readonly pantry: Pantry; readonly now: Date }) {
  const waiting = pantry.tastes.filter(({ fields }) => fields.ended === undefined && fields.at !== undefined);
  if (waiting.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.firstTastes}</Heading>
      <View role="list" aria-label={t.firstTastes}>
        <Rule strong />
        {waiting.map(({ id, fields: { taxon = '', eater = '', at = '', signs = [] } }) => {
          const state = tasteState(at, signs, now);
          return (
            <LinkRow
              key={id}
              href={{ pathname: '/taste/[id]', params: { id } }}
              before={<TaxonSmall of={taxon} height={52} />}
              name={`${CommonName(taxon)}: ${eater}`}
              line={
                state.state === 'waiting'
                  ? t.anotherHoursToWait(Math.ceil(state.hoursLeft))
                  : state.state === 'waited'
                    ? t.howWasIt
                    : t.lookAtIt
              }
            />
          );
        })}
      </View>
    </View>
  );
}

const WHAT = { meal: t.eaten, outward: t.used, gift: t.givenTo, 'thrown-out': t.thrownOut } as const;

export function portionWords(
  pantry: Pantry,
  { fields: { what = 'meal', who = [], toWhom, of = [], dish } }: PortionPage,
): string {
  const names = of
    .map((one) => sourceOf(pantry, one))
    .flatMap((source) =>
      source ? [source.name === '' ? CommonName(source.contents[0]?.taxon ?? '') : source.name] : [],
    );
  return [
    dish ?? names.join(', '),
    what === 'gift'
      ? `${WHAT.gift} ${toWhom ?? t.someoneUnnamed}`
      : [WHAT[what], who.length > 0 && `${what === 'outward' ? t.on : t.by} ${who.join(', ')}`]
          .filter(Boolean)
          .join(' '),
  ]
    .filter(Boolean)
    .join(', ');
}

export function Lately({ pantry, today }: { readonly pantry: Pantry; readonly today: Date }) {
  const person = useApp((state) => state.me.person);
  const writtenBy = ({ person: by, group: id }: PortionPage) => {
    const group = by === person?.id ? undefined : person?.groups.find((one) => one.id === id);
    return group && t.recordedBy(memberName(group, by));
  };
  const lately = pantry.portions.slice(0, LATELY);
  if (lately.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>{t.whatBecameOfIt}</Heading>
      <View role="list" aria-label={t.whatBecameOfIt}>
        <Rule strong />
        {lately.map((portion) => (
          <LinkRow
            key={portion.id}
            href={{ pathname: '/portion/[id]', params: { id: portion.id } }}
            name={portionWords(pantry, portion)}
            line={[portion.fields.at && dayWords(new Date(portion.fields.at), today), writtenBy(portion)]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </View>
    </View>
  );
}
