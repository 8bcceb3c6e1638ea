import { useLocalSearchParams } from 'expo-router';
import { useEffect, useMemo, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { z } from 'zod';
import type { FindRecord } from '@pause/core';
import { couldBe } from '@pause/core/pantry/recall';
import {
  Body,
  Button,
  colour,
  corner,
  Field,
  Heading,
  Loading,
  Notice,
  Screen,
  Small,
  space,
  stroke,
  Strong,
  Title,
  useWide,
} from '../../components';
import { guide } from '../../deciding/guide';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { useAct, useApp, type Thunk } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { memberName } from '../../text/people';
import { Calls } from '../emergency/Calls';
import { findsBehind, NOTHING_TYPED, recordsBehind, sheetOf, type Sheet, type Typed } from './sheet';

const SHEETS = 'sheets';
const Kept = z
  .record(z.string(), z.object({ who: z.string(), when: z.string(), amount: z.string(), signs: z.string() }))
  .catch({});
const keptSheets =
  (): Thunk<Promise<Record<string, Typed>>> =>
  async (_, __, { device }) =>
    Kept.parse(await device.file(SHEETS));
const keepSheet =
  (id: string, typed: Typed): Thunk<Promise<void>> =>
  async (dispatch, _, { device }) => {
    await device.keepFile(SHEETS, { ...(await dispatch(keptSheets())), [id]: typed }).catch(() => undefined);
  };

/**
 * Something went wrong: whom to call, what to keep, and the one page for whoever treats. All of it without a
 * connection.
 */
export function SheetScreen() {
  const { id } = useLocalSearchParams<{ id: string }>();
  const act = useAct();
  const pantry = usePantry();
  const [records, setRecords] = useState<readonly FindRecord[]>();
  const [typed, setTyped] = useState<Typed>();
  useEffect(() => {
    void act(keptSheets()).then((all) => setTyped(all[id] ?? NOTHING_TYPED));
  }, [act, id]);
  const { ready, descent } = pantry;
  const behind = findsBehind(descent, id).join(' ');
  const list = useApp((state) => state.list.items);
  useEffect(() => {
    if (!ready) return undefined;
    let stale = false;
    void act(recordsBehind(behind.split(' '))).then((all) => {
      if (!stale) setRecords(all);
    });
    return () => {
      stale = true;
    };
  }, [act, behind, list, ready]);
  if (!ready || !records || !typed)
    return (
      <Screen>
        <Loading what="Putting it together …" />
      </Screen>
    );
  return <IfWrong id={id} pantry={pantry} records={records} first={typed} />;
}

function IfWrong({
  id,
  pantry,
  records,
  first,
}: {
  readonly id: string;
  readonly pantry: Pantry;
  readonly records: readonly FindRecord[];
  readonly first: Typed;
}) {
  const act = useAct();
  const wide = useWide();
  const person = useApp((state) => state.me.person);
  const now = useToday();
  const [typed, setTyped] = useState(first);
  const nameOf = (who: string) =>
    who === person?.id
      ? person.name
      : (person?.groups.map((group) => memberName(group, who)).find((name) => name !== who) ?? who);
  const could = useMemo(() => couldBe(records, guide), [records]);
  const sheet = sheetOf({ id, pantry, records, could, typed, nameOf, printedAt: now });
  const put = (more: Partial<Typed>) => setTyped({ ...typed, ...more });
  const keep = () => void act(keepSheet(id, typed));
  const left = (
    <View style={[styles.column, wide && styles.grow]} {...NOT_PRINTED}>
      <View style={styles.block}>
        <Strong>Call now. Do not wait for signs.</Strong>
        <Calls />
        <Body>
          Keep what is left of it, raw and cooked, cool and in paper; what was vomited in a clean jar. Make
          nobody vomit, and give nothing that nobody told you to give.
        </Body>
      </View>
      <View style={styles.block}>
        <Heading>What only you can say</Heading>
        <Field
          label="Who, with age and weight"
          value={typed.who}
          onChangeText={(who) => put({ who })}
          onBlur={keep}
          maxLength={200}
        />
        <Field
          label="When it was eaten"
          value={typed.when}
          onChangeText={(when) => put({ when })}
          onBlur={keep}
          maxLength={120}
          placeholder="today, about seven in the evening"
        />
        <Field
          label="How much"
          value={typed.amount}
          onChangeText={(amount) => put({ amount })}
          onBlur={keep}
          maxLength={120}
        />
        <Field
          label="What is felt, and since when"
          value={typed.signs}
          onChangeText={(signs) => put({ signs })}
          onBlur={keep}
          maxLength={600}
          multiline
        />
      </View>
      <Hand sheet={sheet} />
      {person?.demo ? <PoisonLine sheet={sheet} /> : null}
    </View>
  );
  const right = (
    <View style={[styles.sheet, wide && styles.grow]} role="article" aria-label="The sheet">
      <Heading style={styles.ink}>{sheet.title}</Heading>
      {sheet.parts.map((part) => (
        <View key={part.title} style={styles.part}>
          <Strong style={styles.ink}>{part.title}</Strong>
          {part.lines.map((text, at) => (
            <Small key={`${at} ${text}`} style={styles.ink}>
              – {text}
            </Small>
          ))}
        </View>
      ))}
    </View>
  );
  return (
    <Screen>
      <View {...NOT_PRINTED}>
        <Title>If it went wrong</Title>
      </View>
      {records.length === 0 ? (
        <Notice
          title="Nothing is on record of it"
          text="The find that it goes back to is not in this notebook. Say what you know."
        />
      ) : null}
      {wide ? (
        <View style={styles.columns}>
          {left}
          {right}
        </View>
      ) : (
        <>
          {left}
          {right}
        </>
      )}
    </Screen>
  );
}
const NOT_PRINTED = { dataSet: { print: 'no' } } as object;

const picturesOf =
  (finds: readonly string[]): Thunk<Promise<{ type: string; bytes: Uint8Array<ArrayBuffer> }[]>> =>
  async (_, __, { album }) => {
    try {
      const all = await Promise.all(finds.map(async (find) => (await album()).of(find)));
      return await Promise.all(
        all
          .flat()
          .map(async ({ image }) => ({ type: image.type, bytes: new Uint8Array(await image.arrayBuffer()) })),
      );
    } catch {
      // Without its photos it is still the sheet.
      return [];
    }
  };

/** On paper, or as a file to send. */
function Hand({ sheet }: { readonly sheet: Sheet }) {
  const act = useAct();
  const [state, setState] = useState<'ready' | 'making' | 'failed'>('ready');
  const save = async () => {
    setState('making');
    try {
      const [{ pdfOf }, photos] = [await import('./pdf'), await act(picturesOf(sheet.finds))];
      const bytes = await pdfOf(sheet, photos).catch(() => pdfOf(sheet, []));
      const link = Object.assign(document.createElement('a'), {
        href: URL.createObjectURL(new Blob([bytes as Uint8Array<ArrayBuffer>], { type: 'application/pdf' })),
        download: 'pause-sheet.pdf',
      });
      link.click();
      setTimeout(() => URL.revokeObjectURL(link.href), 10_000);
      setState('ready');
    } catch {
      setState('failed');
    }
  };
  return (
    <View style={styles.ways}>
      <Button
        label={state === 'making' ? 'Making it …' : 'Save as PDF'}
        disabled={state === 'making'}
        onPress={() => void save()}
      />
      <Button label="Print it" tone="outline" onPress={() => window.print()} />
      {state === 'failed' ? (
        <Strong role="alert">The PDF could not be made. Print it, or show this page.</Strong>
      ) : null}
    </View>
  );
}

/** How long the stand-in takes to answer. */
const ANSWERS_MS = 900;

/** A stand-in of the demo: it acknowledges, and calls nobody. */
function PoisonLine({ sheet }: { readonly sheet: Sheet }) {
  const [answer, setAnswer] = useState<string>();
  const [asking, setAsking] = useState(false);
  const tell = () => {
    setAsking(true);
    setTimeout(() => {
      setAsking(false);
      setAnswer(`O-${String(1000 + (sheet.parts.flatMap(({ lines }) => lines).join('').length % 9000))}`);
    }, ANSWERS_MS);
  };
  return (
    <View style={styles.block}>
      <Small soft>
        A made-up poison line of the Ostrel valley stands in here: it answers, and nobody is called.
      </Small>
      <Button
        label={asking ? 'Sending …' : 'Send it to the made-up poison line'}
        tone="outline"
        disabled={asking}
        style={styles.start}
        onPress={tell}
      />
      {answer ? (
        <Strong role="status" aria-label="The made-up poison line">
          Received, as case {answer}. Stay with them; somebody would call you back. (Made up: nobody was
          told.)
        </Strong>
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  columns: { flexDirection: 'row', gap: space.xl * 1.5, alignItems: 'flex-start' },
  column: { gap: space.xl },
  grow: { flex: 1 },
  block: { gap: space.s },
  ways: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s, alignItems: 'center' },
  // Paper is white, whatever the screen is.
  sheet: {
    gap: space.m,
    padding: space.l,
    backgroundColor: '#FFFFFF',
    borderWidth: stroke.thin,
    borderColor: colour.ink,
    borderRadius: corner,
  },
  part: { gap: 2 },
  ink: { color: '#14201B' },
  start: { alignSelf: 'flex-start' },
});
