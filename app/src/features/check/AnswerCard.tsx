import { useState } from 'react';
import { Pressable, StyleSheet, TextInput, View } from 'react-native';
import type { AnswerEffect, Case, Check, LengthUnit, ReadingValue, State, StateId, Sureness } from '@pause/core';
import { characterOf, commonName, DAMAGE, timeWords } from '../../words/names';
import { few } from '../../words/reasons';
import { Body, Button, Chip, ChipRow, colour, corner, font, OrganGlyph, Question, Small, SmallStrong, space, Strong, stroke, TARGET } from '../../ui';

import { AnswerDrawing } from '../plate/AnswerDrawing';
import { useKeys } from './useKeys';

export interface Answer {
  readonly value: ReadingValue;
  readonly sureness: Sureness;
}

interface AnswerCardProps {
  readonly check: Check;
  readonly find: Case;
  readonly effects: readonly AnswerEffect[];
  readonly keys: boolean;
  readonly onAnswer: (answer: Answer) => void;
  readonly onPass: () => void;
}

const SURENESSES: readonly { readonly id: Sureness; readonly label: string }[] = [
  { id: 'sure', label: 'Sure' }, { id: 'fairly', label: 'Fairly' }, { id: 'guess', label: 'Guess' },
];

/** The next check: a question about one organ, how to look, and its answers. */
export function AnswerCard({ check, find, effects, keys, onAnswer, onPass }: AnswerCardProps) {
  const [sureness, setSureness] = useState<Sureness>('sure');
  const [how, setHow] = useState(false);
  const character = characterOf(check.character);
  const answer = (value: ReadingValue) => onAnswer({ value, sureness });
  useKeys({
    digit: (n) => {
      const state = character && 'states' in character ? character.states[n - 1] : undefined;
      if (state) answer({ kind: 'states', states: [state.id] });
    },
    u: () => answer({ kind: 'cant-tell' }),
    n: onPass,
  }, keys);
  if (!character) return null;
  return (
    <View style={styles.card}>
      <View style={styles.meta}>
        <OrganGlyph organ={character.organ} size={20} colour={colour.inkSoft} />
        <Small soft style={styles.grow}>{[timeWords(character.seconds), DAMAGE[character.damage], ...(character.gear ?? [])].join(' · ')}</Small>
        {keys ? null : (
          <Pressable role="button" aria-expanded={how} onPress={() => setHow(!how)} style={styles.how}>
            <SmallStrong style={styles.underlined}>How to look</SmallStrong>
          </Pressable>
        )}
      </View>
      <Question>{character.question}</Question>
      {how || keys ? <Small soft>{character.how}</Small> : null}
      {check.why === 'contradicted' ? (
        <View style={styles.again}>
          <Strong>Look again</Strong>
          <Body>This spoke against {commonName(find.target)}. Look elsewhere on the same piece, in other light.</Body>
        </View>
      ) : null}
      {check.why === 'mark-unsure' ? <View style={styles.again}><Strong>Look again: a mark of it was seen, but not surely.</Strong></View> : null}
      {check.why === 'taken-back' ? <View style={styles.again}><Strong>Look again: the answer was taken back.</Strong></View> : null}
      <ChipRow label="How sure are you?">
        <View style={styles.sureness} role="radiogroup" aria-label="How sure are you?">
          {SURENESSES.map(({ id, label }, index) => (
            <Pressable
              key={id}
              role="radio"
              aria-checked={sureness === id}
              onPress={() => setSureness(id)}
              style={[styles.sure, index > 0 && styles.sureNext, sureness === id && styles.sureChosen]}
            >
              <Strong on={sureness === id ? 'dark' : 'light'}>{label}</Strong>
            </Pressable>
          ))}
        </View>
      </ChipRow>
      {character.kind === 'states' || character.kind === 'colour'
        ? <StateAnswers key={character.id} character={character.id} drawn={character.kind === 'states'} states={character.states} effects={effects} keys={keys} onAnswer={answer} />
        : <NumberAnswer key={character.id} kind={character.kind} unit={character.kind === 'measure' ? character.unit : undefined} onAnswer={answer} />}
      <View style={styles.ways}>
        <Button label={keys ? 'Can’t tell  U' : 'Can’t tell'} tone="outline" style={styles.way} onPress={() => answer({ kind: 'cant-tell' })} />
        <Button label={keys ? 'Skip  N' : 'Skip'} tone="outline" style={styles.way} onPress={onPass} />
      </View>
    </View>
  );
}

interface StateAnswersProps {
  readonly character: string;
  /** States are drawings; colours are their own swatches. */
  readonly drawn: boolean;
  readonly states: readonly State[];
  readonly effects: readonly AnswerEffect[];
  readonly keys: boolean;
  readonly onAnswer: (value: ReadingValue) => void;
}

const DRAWING = 84;

/** One tap answers. "Torn" lets two or more be named, and then asks for one more tap. */
function StateAnswers({ character, drawn, states, effects, keys, onAnswer }: StateAnswersProps) {
  const [torn, setTorn] = useState<readonly StateId[] | undefined>();
  const tap = (state: StateId) => {
    if (!torn) onAnswer({ kind: 'states', states: [state] });
    else setTorn(torn.includes(state) ? torn.filter((s) => s !== state) : [...torn, state]);
  };
  return (
    <View style={styles.answers}>
      <View style={styles.grid} role={torn ? 'group' : 'list'} aria-label="Answers">
        {states.map((state, index) => {
          const chosen = torn?.includes(state.id) ?? false;
          return (
            <Pressable
              key={state.id}
              role={torn ? 'checkbox' : 'button'}
              {...(torn ? { 'aria-checked': chosen } : {})}
              aria-label={state.label}
              onPress={() => tap(state.id)}
              style={({ pressed }) => [styles.answer, (pressed || chosen) && styles.answerOn]}
            >
              {drawn ? <View style={styles.drawing}><AnswerDrawing character={character} state={state.id} height={DRAWING} /></View> : null}
              {state.swatch ? <View style={[styles.swatch, { backgroundColor: state.swatch }]} /> : null}
              <Strong>{state.label}</Strong>
              {keys && index < 9 ? <Small soft style={styles.digit}>{index + 1}</Small> : null}
            </Pressable>
          );
        })}
      </View>
      {torn ? (
        <View style={styles.ways}>
          <Button label="One answer only" tone="outline" style={styles.way} onPress={() => setTorn(undefined)} />
          <Button label={torn.length < 2 ? 'Name two or more' : 'It is one of these'} style={styles.way} disabled={torn.length < 2} onPress={() => onAnswer({ kind: 'states', states: [...torn] })} />
        </View>
      ) : <Button label="Torn between some" tone="plain" onPress={() => setTorn([])} style={styles.torn} />}
      {keys ? <Effects states={states} effects={effects} /> : null}
    </View>
  );
}

/** What each answer would do, for those who want to know before they look. */
function Effects({ states, effects }: { readonly states: readonly State[]; readonly effects: readonly AnswerEffect[] }) {
  const lines = effects.flatMap((effect) => {
    const label = states.find((s) => s.id === effect.state)?.label;
    const gained = effect.bars.filter((bar) => bar.to > bar.from && bar.from < bar.need);
    const said = [
      ...(effect.relation === 'against' ? ['speaks against it: look twice, then leave'] : []),
      ...(gained.length > 0 ? [`a bar against ${few(gained.map((bar) => commonName(bar.taxon)), 4)}`] : []),
    ];
    return label && said.length > 0 ? [{ label, said: said.join('; ') }] : [];
  });
  if (lines.length === 0) return null;
  return (
    <View style={styles.effects}>
      <Strong>What each answer would do</Strong>
      {lines.map(({ label, said }) => <Small key={label}><SmallStrong>{label}: </SmallStrong>{said}.</Small>)}
    </View>
  );
}

const UNITS: readonly LengthUnit[] = ['mm', 'cm', 'in'];

function NumberAnswer({ kind, unit, onAnswer }: { readonly kind: 'measure' | 'count'; readonly unit: LengthUnit | undefined; readonly onAnswer: (value: ReadingValue) => void }) {
  const [text, setText] = useState('');
  const [chosen, setChosen] = useState<LengthUnit>(unit ?? 'mm');
  const number = Number(text.replace(',', '.'));
  const wrong = text.trim() === '' ? undefined
    : !Number.isFinite(number) || number < 0 ? 'Give a number, like 12 or 4.5.'
    : kind === 'count' && !Number.isInteger(number) ? 'A count is a whole number.'
    : number > 5000 ? 'That is too much for this. Check the number.'
    : undefined;
  const ready = text.trim() !== '' && wrong === undefined;
  return (
    <View style={styles.answers}>
      <View style={styles.measure}>
        <TextInput
          aria-label={kind === 'count' ? 'Count' : 'Measure'}
          aria-invalid={wrong !== undefined}
          inputMode={kind === 'count' ? 'numeric' : 'decimal'}
          value={text}
          onChangeText={setText}
          style={styles.input}
        />
        {kind === 'measure' ? (
          <ChipRow label="Unit">
            {UNITS.map((u) => <Chip key={u} label={u} chosen={u === chosen} onPress={() => setChosen(u)} />)}
          </ChipRow>
        ) : null}
      </View>
      {wrong ? <Strong role="alert">{wrong}</Strong> : null}
      <Button
        label="Record it"
        disabled={!ready}
        onPress={() => onAnswer(kind === 'count' ? { kind: 'count', number } : { kind: 'measure', number, unit: chosen })}
      />
    </View>
  );
}

/** The card is made anew for each check, so that sureness and torn never carry over. */
export function cardKey(check: Check, change: number): string {
  return `${check.character}:${change}`;
}

const styles = StyleSheet.create({
  card: { gap: space.s + 2 },
  meta: { flexDirection: 'row', alignItems: 'center', gap: space.s, minHeight: TARGET, marginVertical: -space.s },
  grow: { flex: 1 },
  how: { minHeight: TARGET, justifyContent: 'center' },
  underlined: { textDecorationLine: 'underline' },
  again: { borderLeftWidth: 5, borderLeftColor: colour.ink, backgroundColor: colour.pause, padding: space.m, gap: space.xs },
  sureness: { flexDirection: 'row', borderWidth: stroke.thin, borderColor: colour.ink, borderRadius: corner, overflow: 'hidden', flex: 1 },
  sure: { flex: 1, minHeight: TARGET, alignItems: 'center', justifyContent: 'center' },
  sureNext: { borderLeftWidth: stroke.thin, borderLeftColor: colour.ink },
  sureChosen: { backgroundColor: colour.ink },
  answers: { gap: space.s + 2 },
  grid: { flexDirection: 'row', flexWrap: 'wrap', gap: space.s + 2 },
  answer: {
    flexGrow: 1, flexBasis: '46%', minHeight: 68, padding: space.m, borderRadius: corner, borderWidth: stroke.thin, borderColor: colour.line,
    backgroundColor: colour.card, gap: space.s,
  },
  answerOn: { borderColor: colour.ink, borderWidth: stroke.thick, padding: space.m - stroke.thin },
  drawing: { alignItems: 'center' },
  digit: { position: 'absolute', top: space.s, right: space.m },
  swatch: { alignSelf: 'stretch', height: 52, borderRadius: corner, borderWidth: stroke.thin, borderColor: colour.ink },
  ways: { flexDirection: 'row', gap: space.s + 2 },
  way: { flex: 1 },
  torn: { alignSelf: 'flex-start', minHeight: TARGET },
  effects: { gap: space.xs, paddingTop: space.s },
  measure: { flexDirection: 'row', gap: space.m, alignItems: 'center' },
  input: {
    width: 120, minHeight: 56, borderWidth: stroke.medium, borderColor: colour.ink, borderRadius: corner, backgroundColor: colour.card,
    fontFamily: font.readBold, fontSize: 25, color: colour.ink, paddingHorizontal: space.m,
  },
});
