import { useRouter } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { shortCode } from '@pause/core/pantry';
import { tasteState } from '@pause/core/pantry/tasting';
import {
  Body,
  Button,
  Field,
  Heading,
  Loading,
  Notice,
  Rule,
  Screen,
  Small,
  space,
  Title,
  useWide,
} from '../../components';
import { Row } from '../../components/Row';
import {
  isThere,
  leftIn,
  placesOf,
  sourceOf,
  usePantry,
  type BatchPage,
  type Pantry,
  type PortionPage,
} from '../../notebook/pantry';
import { useRecalls } from '../../notebook/recalls';
import { useApp } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { dayWords } from '../../text/days';
import { CommonName, commonName, scientificName } from '../../text/names';
import { amountWords, METHOD } from '../../text/pantry';
import { memberName } from '../../text/people';
import { isoDayName } from '../../text/places';
import { RecallNotice } from './RecallNotice';
import { nextTimer } from './Timers';

/** What is being made, what is there, and what became of it. */
export function PantryScreen() {
  const router = useRouter();
  const wide = useWide();
  const pantry = usePantry();
  const recalls = useRecalls(pantry);
  const [text, setText] = useState('');
  const today = useToday();
  if (!pantry.ready)
    return (
      <Screen>
        <Loading what="Opening the notebook …" />
      </Screen>
    );
  const held = new Set(recalls.all.filter(({ kind }) => kind === 'batch').map(({ id }) => id));
  const found = pantry.batches.filter((batch) => matches(batch, text, placesOf(pantry, batch.id)));
  const making = found.filter(({ fields }) => fields.readyOn === undefined && fields.ended === undefined);
  const there = found.filter((batch) => batch.fields.readyOn !== undefined && isThere(pantry, batch));
  const gone = found.filter((batch) => !making.includes(batch) && !there.includes(batch));
  const shelves = (
    <View style={[styles.column, wide && styles.grow]}>
      <Shelf title="Being made" batches={making} pantry={pantry} held={held} now={today} />
      <Shelf title="On the shelf" batches={there} pantry={pantry} held={held} now={today} />
      <Shelf title="Used up" batches={gone} pantry={pantry} held={held} now={today} />
    </View>
  );
  return (
    <Screen>
      <View>
        <Title>Pantry</Title>
        <Small soft>
          {there.length === 1 ? 'One batch' : `${there.length} batches`} on the shelf, {making.length} being
          made
        </Small>
      </View>
      <RecallNotice recalls={recalls} />
      <View style={styles.ways}>
        <Button label="Make something" onPress={() => router.push('/batch/new')} />
        <Button label="Put down a meal" tone="outline" onPress={() => router.push('/portion')} />
        <Button label="Read a label" tone="outline" onPress={() => router.push('/scan')} />
      </View>
      {pantry.batches.length === 0 ? (
        <Notice
          title="Nothing has been made yet"
          text="What you collect becomes a harvest; from there it is dried, cooked or put by. Everything is listed here with what it was made from."
        />
      ) : (
        <Field
          label="Look for"
          value={text}
          onChangeText={setText}
          placeholder="A name, a place, the letters of a label"
          maxLength={80}
        />
      )}
      {text.trim() !== '' && found.length === 0 ? <Body>Nothing in the pantry is called so.</Body> : null}
      <View style={wide ? styles.columns : styles.column}>
        {shelves}
        <View style={[styles.column, wide && styles.grow]}>
          <Tastes pantry={pantry} now={today} />
          <Lately pantry={pantry} today={today} />
          <View style={styles.ways}>
            {there.length > 0 ? (
              <Button label="Print labels" tone="plain" onPress={() => router.push('/labels')} />
            ) : null}
            <Button label="A first taste" tone="plain" onPress={() => router.push('/taste')} />
            <Button label="Logbook" tone="plain" onPress={() => router.push('/logbook')} />
          </View>
        </View>
      </View>
    </Screen>
  );
}

/** Every word that is looked for stands somewhere in it. */
export function matches(
  { id, fields: { name = '', contents = [], note = '' } }: Pick<BatchPage, 'id' | 'fields'>,
  text: string,
  places: readonly string[] = [],
): boolean {
  const all = [
    name,
    note,
    shortCode(id),
    ...places,
    ...contents.flatMap(({ taxon }) => [commonName(taxon), scientificName(taxon)]),
  ]
    .join(' ')
    .toLowerCase();
  return text
    .toLowerCase()
    .split(/\s+/)
    .every((word) => all.includes(word));
}

interface ShelfProps {
  readonly title: string;
  readonly batches: readonly BatchPage[];
  readonly pantry: Pantry;
  readonly held: ReadonlySet<string>;
  readonly now: Date;
}
const FIRST = 8;

function Shelf({ title, batches, pantry, held, now }: ShelfProps) {
  const [all, setAll] = useState(false);
  if (batches.length === 0) return null;
  const shown = all ? batches : batches.slice(0, title === 'Used up' ? 3 : FIRST);
  return (
    <View style={styles.block}>
      <Heading>{title}</Heading>
      <View role="list" aria-label={title}>
        <Rule strong />
        {shown.map((batch) => (
          <Row
            key={batch.id}
            href={{ pathname: '/batch/[id]', params: { id: batch.id } }}
            name={batch.fields.name ?? 'A batch'}
            line={lineOf(batch, now)}
            end={held.has(batch.id) ? 'In question' : endOf(pantry, batch)}
          />
        ))}
      </View>
      {shown.length < batches.length ? (
        <Button
          label={`All ${batches.length}`}
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
      ? on && `begun ${isoDayName(on)}`
      : bestBefore && `best before ${isoDayName(bestBefore)}`,
    timer,
  ]
    .filter(Boolean)
    .join(' · ');
}

function endOf(pantry: Pantry, batch: BatchPage): string | undefined {
  if (batch.fields.ended)
    return { 'used-up': 'used up', 'thrown-out': 'thrown out', spoilt: 'spoilt' }[batch.fields.ended.why];
  const left = leftIn(pantry, batch);
  return left === undefined ? undefined : left.amount === 0 ? 'used up' : amountWords(left);
}

/** First tastes that are being waited for. */
function Tastes({ pantry, now }: { readonly pantry: Pantry; readonly now: Date }) {
  const waiting = pantry.tastes.filter(({ fields }) => fields.ended === undefined && fields.at !== undefined);
  if (waiting.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>First tastes</Heading>
      <View role="list" aria-label="First tastes">
        <Rule strong />
        {waiting.map(({ id, fields: { taxon = '', eater = '', at = '', signs = [] } }) => {
          const state = tasteState(at, signs, now);
          return (
            <Row
              key={id}
              href={{ pathname: '/taste/[id]', params: { id } }}
              name={`${CommonName(taxon)}: ${eater}`}
              line={
                state.state === 'waiting'
                  ? `another ${Math.ceil(state.hoursLeft)} hours to wait`
                  : state.state === 'waited'
                    ? 'How was it?'
                    : 'Look at it'
              }
            />
          );
        })}
      </View>
    </View>
  );
}

const WHAT = { meal: 'eaten', outward: 'used', gift: 'given to', 'thrown-out': 'thrown out' } as const;
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
      ? `${WHAT.gift} ${toWhom ?? 'somebody'}`
      : [WHAT[what], who.length > 0 && `${what === 'outward' ? 'on' : 'by'} ${who.join(', ')}`]
          .filter(Boolean)
          .join(' '),
  ]
    .filter(Boolean)
    .join(', ');
}

function Lately({ pantry, today }: { readonly pantry: Pantry; readonly today: Date }) {
  const person = useApp((state) => state.me.person);
  const toldBy = ({ person: by, group: id }: PortionPage) => {
    const group = by === person?.id ? undefined : person?.groups.find((one) => one.id === id);
    return group && `recorded by ${memberName(group, by)}`;
  };
  const lately = pantry.portions.slice(0, FIRST);
  if (lately.length === 0) return null;
  return (
    <View style={styles.block}>
      <Heading>What became of it</Heading>
      <View role="list" aria-label="What became of it">
        <Rule strong />
        {lately.map((portion) => (
          <Row
            key={portion.id}
            href={{ pathname: '/portion/[id]', params: { id: portion.id } }}
            name={portionWords(pantry, portion)}
            line={[portion.fields.at && dayWords(new Date(portion.fields.at), today), toldBy(portion)]
              .filter(Boolean)
              .join(' · ')}
          />
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', columnGap: space.m, rowGap: space.s },
  start: { alignSelf: 'flex-start' },
});
