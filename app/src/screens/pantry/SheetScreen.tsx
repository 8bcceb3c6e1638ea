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
import { t } from '../../text/en/sheet';
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
        <Loading what={t.puttingItTogether} />
      </Screen>
    );
  return <IfWrong id={id} pantry={pantry} records={records} first={typed} />;
}

interface IfWrongProps {
  readonly id: string;
  readonly pantry: Pantry;
  readonly records: readonly FindRecord[];
  readonly first: Typed;
}

function IfWrong({ id, pantry, records, first }: IfWrongProps) {
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
  const columns = (
    <>
      <View style={[styles.column, wide && styles.grow]} {...NOT_PRINTED}>
        <View style={styles.block}>
          <Strong>{t.callNowDoNotWait}</Strong>
          <Calls />
          <Body>{t.keepWhatIsLeftOf}</Body>
        </View>
        <OnlyYouCanSay
          typed={typed}
          onType={(more) => setTyped({ ...typed, ...more })}
          onKeep={() => void act(keepSheet(id, typed))}
        />
        <Hand sheet={sheet} />
        {person?.demo ? <PoisonLine sheet={sheet} /> : null}
      </View>
      <View style={[styles.sheet, wide && styles.grow]} role="article" aria-label={t.theSheet}>
        <SheetText sheet={sheet} />
      </View>
    </>
  );
  return (
    <Screen>
      <View {...NOT_PRINTED}>
        <Title>{t.poisoning}</Title>
      </View>
      {records.length === 0 ? <Notice title={t.nothingIsOnRecordOf} text={t.theFindThatItGoes} /> : null}
      {wide ? <View style={styles.columns}>{columns}</View> : columns}
    </Screen>
  );
}

interface OnlyYouProps {
  readonly typed: Typed;
  readonly onType: (more: Partial<Typed>) => void;
  readonly onKeep: () => void;
}

/** Who ate it, when, how much, and what is felt. */
function OnlyYouCanSay({ typed, onType, onKeep }: OnlyYouProps) {
  return (
    <View style={styles.block}>
      <Heading>{t.whatOnlyYouCanSay}</Heading>
      <Field
        label={t.whoWithAgeAndWeight}
        value={typed.who}
        onChangeText={(who) => onType({ who })}
        onBlur={onKeep}
        maxLength={200}
      />
      <Field
        label={t.whenItWasEaten}
        value={typed.when}
        onChangeText={(when) => onType({ when })}
        onBlur={onKeep}
        maxLength={120}
        placeholder={t.todayAboutSevenInThe}
      />
      <Field
        label={t.howMuch}
        value={typed.amount}
        onChangeText={(amount) => onType({ amount })}
        onBlur={onKeep}
        maxLength={120}
      />
      <Field
        label={t.whatIsFeltAndSince}
        value={typed.signs}
        onChangeText={(signs) => onType({ signs })}
        onBlur={onKeep}
        maxLength={600}
        multiline
      />
    </View>
  );
}

function SheetText({ sheet }: { readonly sheet: ReturnType<typeof sheetOf> }) {
  return (
    <>
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
    </>
  );
}
