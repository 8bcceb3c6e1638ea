import { useLocalSearchParams } from 'expo-router';
import { useState, useEffect, useMemo } from 'react';
import { View } from 'react-native';
import type { FindRecord } from '@pause/core';
import { couldBe } from '@pause/core/pantry/recall';
import {
  Screen,
  Loading,
  useWide,
  Strong,
  Body,
  Heading,
  Field,
  Small,
  Title,
  Notice,
} from '../../components';
import { guide } from '../../deciding/guide';
import { usePantry, type Pantry } from '../../notebook/pantry';
import { useAct, useApp } from '../../notebook/store';
import { useToday } from '../../notebook/useFinds';
import { memberName } from '../../text/people';
import { Calls } from '../emergency/Calls';
import { type Typed, NOTHING_TYPED, findsBehind, recordsBehind, sheetOf } from './sheet';
import { keptSheets, keepSheet, NOT_PRINTED, Hand, PoisonLine } from './SheetParts';
import { styles } from './sheetStyles';

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
