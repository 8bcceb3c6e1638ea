import { useState } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';
import { readNumber } from '@pause/core/lib/typed';
import { takingProblem, type BatchFields, type KeptAmount, type Left, type Source } from '@pause/core/pantry';
import {
  Chip,
  ChipRow,
  colour,
  Field,
  Heading,
  Rule,
  Small,
  space,
  stroke,
  Strong,
  TARGET,
  Grow,
} from '../../components';
import { t } from '../../text/en/making';
import { t as pantryText } from '../../text/en/pantry';
import { amountWords } from '../../text/pantry';
import { UNITS } from '../../text/units';

/** Something of which something is made or eaten, and how much of it there is. */
export interface Choice {
  readonly source: Source;
  readonly name: string;
  readonly line: string;
  readonly contents: BatchFields['contents'];
  readonly group: string | undefined;
  readonly left: Left | undefined;
  /** Why it cannot be chosen. */
  readonly not?: string;
}

export interface Chosen<C extends Choice> {
  readonly picked: readonly C[];
  /** Each of them with how much of it is taken, or what is wrong with that. */
  readonly amounts: readonly { readonly source: Source; readonly problem?: string }[];
  /** Every amount is as it can be, and there is something. */
  readonly right: boolean;
  /** The one notebook that all of them are in; none where they are in several. */
  readonly group: string | undefined;
  readonly texts: Readonly<Record<string, string>>;
  readonly set: (texts: Readonly<Record<string, string>>) => void;
}

/** In place of an amount: all that is left, or, where nobody knows how much that is, no amount at all. */
export const WHOLE = 'whole';

/** How much of something is taken, as it was typed or chosen; nothing typed is nothing yet. */
export function amountOf(
  { source, left }: Choice,
  text: string,
): { readonly source: Source; readonly problem?: string } {
  const written = text.trim();
  if (written === WHOLE) return { source: left ? { ...source, amount: left } : source };
  if (written === '') return { source, problem: NOTHING_YET };
  const amount: KeptAmount = { amount: readNumber(written) ?? 0, unit: left?.unit ?? 'g' };
  if (!(Number.isFinite(amount.amount) && amount.amount > 0)) return { source, problem: t.aboveNothing };
  const problem = takingProblem('amount', amount, left);
  return problem ? { source, problem: problem.reason } : { source: { ...source, amount } };
}

const NOTHING_YET = t.howMuchItIs;

/** @param first what is chosen as soon as it is there, until something else is */
export function useChosen<C extends Choice>(choices: readonly C[], first: string | undefined): Chosen<C> {
  const [typed, set] = useState<Readonly<Record<string, string>>>();
  const texts =
    typed ??
    (first !== undefined && choices.some(({ source, not }) => source.id === first && not === undefined)
      ? { [first]: '' }
      : {});
  const picked = choices.filter(({ source }) => source.id in texts);
  const amounts = picked.map((one) => amountOf(one, texts[one.source.id] ?? ''));
  const groups = new Set(picked.map(({ group }) => group));
  return {
    picked,
    amounts,
    right: picked.length > 0 && amounts.every(({ problem }) => problem === undefined),
    group: groups.size === 1 ? [...groups][0] : undefined,
    texts,
    set,
  };
}

interface ChooseProps {
  readonly choices: readonly Choice[];
  readonly chosen: Chosen<Choice>;
  /** What is asked for each: "How much of it goes in". */
  readonly asks: string;
  /**
   * What is offered in place of an amount: "All of it".
   *
   * @param known whether anybody knows how much there is
   */
  readonly whole: (known: boolean) => string;
}

export function Choose({ choices, chosen: { texts, set, amounts }, asks, whole }: ChooseProps) {
  return (
    <>
      <Heading>{pantryText.ofWhat}</Heading>
      <View role="list" aria-label={pantryText.ofWhat}>
        <Rule strong />
        {choices.map(({ source: { id }, name, line, left, not }) => {
          const text = texts[id];
          const problem = amounts.find(({ source }) => source.id === id)?.problem;
          return (
            <View key={id} role="listitem">
              <Pressable
                role="checkbox"
                aria-checked={text !== undefined}
                aria-label={`${name}, ${line}`}
                disabled={not !== undefined}
                onPress={() =>
                  set(
                    text === undefined
                      ? { ...texts, [id]: '' }
                      : Object.fromEntries(Object.entries(texts).filter(([other]) => other !== id)),
                  )
                }
                style={styles.choice}
              >
                <View style={[styles.mark, text !== undefined && styles.marked]} />
                <Grow>
                  <Strong>{name}</Strong>
                  <Small soft>{line}</Small>
                  {not ? <Small>{not}</Small> : null}
                </Grow>
              </Pressable>
              {text === undefined ? null : (
                <View style={styles.amount}>
                  <Field
                    label={t.in(asks, UNITS[left?.unit ?? 'g'])}
                    inputMode="decimal"
                    value={text === WHOLE ? '' : text}
                    onChangeText={(more) => set({ ...texts, [id]: more })}
                    {...(problem && problem !== NOTHING_YET ? { wrong: problem } : {})}
                  />
                  <ChipRow label={t.howMuchOf(name)}>
                    <Chip
                      kind="checkbox"
                      label={left ? `${whole(true)}: ${amountWords(left)}` : whole(false)}
                      chosen={text === WHOLE}
                      onPress={() => set({ ...texts, [id]: text === WHOLE ? '' : WHOLE })}
                    />
                  </ChipRow>
                </View>
              )}
              <Rule />
            </View>
          );
        })}
      </View>
    </>
  );
}

const MARK = 24;
const styles = StyleSheet.create({
  choice: {
    flexDirection: 'row',
    alignItems: 'center',
    gap: space.m,
    minHeight: TARGET + 4,
    paddingVertical: space.s,
  },
  mark: {
    width: MARK,
    height: MARK,
    borderWidth: stroke.medium,
    borderColor: colour.ink,
    borderRadius: 3,
    backgroundColor: colour.card,
  },
  marked: { backgroundColor: colour.ink },
  amount: { gap: space.s, paddingBottom: space.m, paddingLeft: MARK + space.m },
});
