import { useRouter } from 'expo-router';
import { useMemo } from 'react';
import { Pressable, ScrollView, StyleSheet, View } from 'react-native';
import { countOf, type Case, type CharacterId, type FindRecord, type StateId } from '@pause/core';
import type { PieceCheck } from '@pause/core/pieces';
import { guide } from '../../evaluate/guide';
import { late } from '../../evaluate/late';
import { add, newId, now, person, startFind } from '../../store/actions';
import { useAct, type Thunk } from '../../store/store';
import { useCase } from '../../store/useCase';
import { characterName, characterOf, commonName, timeWords } from '../../words/names';
import { Body, Button, colour, corner, Heading, Loading, Notice, Rule, Screen, Small, space, Strong, stroke, Title, VerdictWord } from '../../ui';
import { StatePicture } from '../beside/StatePicture';
import { FindFrame } from '../FindFrame';

/** The rest of the patch, piece by piece: pass, stray, stop. */
/** One more was gone through; or the last count was a slip. */
function countPiece(find: string, result: 'passed' | 'stray' | 'taken-back'): Thunk<Promise<boolean>> {
  return (dispatch) => dispatch(add({ kind: 'counts', find, body: { id: newId(), at: dispatch(now()), by: dispatch(person()), result } }));
}

export function PiecesScreen() {
  return <FindFrame render={({ record }) => <Pieces record={record} />} />;
}

function Pieces({ record }: { readonly record: FindRecord }) {
  const act = useAct();
  const router = useRouter();
  const find = useCase(record);
  const told = usePieceCheck(find);
  const count = countOf(record);
  if (!find) return <Screen><Notice title="No name yet" text="Only what has been checked as one thing can be gone through piece by piece." action="Back to the find" onAction={() => router.replace({ pathname: '/find/[id]', params: { id: record.id } })} /></Screen>;
  if (!told) return <Screen><Loading what="Working out the quickest checks …" /></Screen>;
  if (!told.feasible) {
    return (
      <Screen>
        <Title>Piece by piece</Title>
        <Body>No quick check parts the pieces: {told.obstacles.flatMap((o) => (o.code === 'cannot-bar' ? [commonName(o.taxon)] : [])).join(', ')} cannot be ruled out at a glance. Check each one as a find of its own.</Body>
        <Button label="Back to the find" tone="outline" style={styles.start} onPress={() => router.replace({ pathname: '/find/[id]', params: { id: record.id } })} />
      </Screen>
    );
  }
  const stray = () => {
    void act(countPiece(record.id, 'stray'));
    void act(startFind({ kingdom: record.kingdom, bodyPlan: record.bodyPlan ?? '', placeNote: `Stray among the pieces of ${record.number ? `find ${record.number}` : commonName(find.target)}`, ...(record.group ? { group: record.group } : {}), context: {} }))
      .then((id) => { if (id) router.push({ pathname: '/find/[id]/name', params: { id } }); });
  };
  const slips = told.slips.slice(1);
  const strip = (
    <View style={styles.strip}>
      <Pressable role="button" onPress={stray} style={({ pressed }) => [styles.big, styles.stray, pressed && styles.pressed]}>
        <Strong>Stray</Strong><Small>opens a find for it</Small>
      </Pressable>
      <Pressable role="button" onPress={() => void act(countPiece(record.id, 'passed'))} style={({ pressed }) => [styles.big, styles.passes, pressed && styles.pressed]}>
        <Strong on="dark">Passes</Strong><Small on="dark">all of it as drawn</Small>
      </Pressable>
    </View>
  );
  return (
    <Screen panes rooms={false} strip={strip}>
      <ScrollView tabIndex={0} contentContainerStyle={styles.page}>
        <Small soft role="heading" aria-level={1}>The rest of the patch · {commonName(find.target)}</Small>
        <View style={styles.tally} role="status" aria-live="polite" aria-label={`${count.passed} passed, ${count.strays} strays`}>
          <View><VerdictWord>{count.passed}</VerdictWord><Small soft>passed</Small></View>
          <View><VerdictWord>{count.strays}</VerdictWord><Small soft>{count.strays === 1 ? 'stray' : 'strays'}</Small></View>
          <View style={styles.grow} />
          <Button label="Take back" tone="plain" disabled={!count.last} onPress={() => void act(countPiece(record.id, 'taken-back'))} />
        </View>
        {told.checks.length === 0 ? <Body>The guide names no lookalike of it. Look at each piece all the same: what is not like the one you checked is a stray.</Body> : (
          <>
            <Heading>On each piece, every one of these</Heading>
            <Body soft>About {timeWords(told.seconds)} a piece. Anything else is a stray, also what you can’t make out.</Body>
            {told.checks.map((check, i) => <PieceLine key={check.character} target={find.target} stages={find.context.stages} character={check.character} seconds={check.seconds} last={i === told.checks.length - 1} />)}
            {slips.length > 1 ? (
              <Small soft>
                In ordinary hands {share(slips[0]?.share ?? 0)} of the strays slips through the first check alone, {share(slips.at(-1)?.share ?? 0)} through all of them. {count.strays > 0 ? 'There are strays here: do not leave one out.' : ''}
              </Small>
            ) : null}
          </>
        )}
        <Rule strong />
        <Button label="Stop here" tone="outline" style={styles.start} onPress={() => router.replace({ pathname: '/find/[id]', params: { id: record.id } })} />
        <Small soft>The count is kept on this device.</Small>
      </ScrollView>
    </Screen>
  );
}

const share = (s: number) => (s <= 0 ? 'none' : s < 0.001 ? 'fewer than one in a thousand' : `one in ${Math.max(1, Math.round(1 / s))}`);

interface PieceLineProps {
  readonly target: string;
  readonly stages: readonly string[] | undefined;
  readonly character: CharacterId;
  readonly seconds: number;
  readonly last: boolean;
}

/** One check of the piece check: what every piece has to show. */
function PieceLine({ target, stages, character, seconds, last }: PieceLineProps) {
  const known = characterOf(character);
  const at = guide.taxon(target)?.atStage.get(guide.character(character)?.index ?? -1);
  const usual = [...(at ?? [])].filter(([stage]) => stages?.includes(stage) ?? true).flatMap(([, k]) => (
    k.kind === 'states' ? [...(guide.character(character)?.stateBit ?? [])].filter(([, bit]) => (bit & k.usual) !== 0).map(([state]) => state as StateId) : []
  ));
  return (
    <View style={[styles.check, last && styles.checkLast]}>
      <View style={styles.grow}>
        <Strong>{characterName(character)}</Strong>
        <Small soft>{known?.how}</Small>
        <Small soft>{timeWords(seconds)}</Small>
      </View>
      <View style={styles.picture}><StatePicture character={character} states={[...new Set(usual)]} height={72} /></View>
    </View>
  );
}

const { useIt: usePieces } = late<typeof import('@pause/core/pieces')>(() => import('@pause/core/pieces'));

function usePieceCheck(find: Case | undefined): PieceCheck | undefined {
  const program = usePieces();
  return useMemo(() => (program && find ? program.pieceCheck(guide, find) : undefined), [program, find]);
}

const styles = StyleSheet.create({
  page: { padding: space.l, gap: space.m, paddingBottom: space.xl, width: '100%', maxWidth: 720, alignSelf: 'center' },
  tally: { flexDirection: 'row', gap: space.xl, alignItems: 'center' },
  grow: { flex: 1 },
  check: { flexDirection: 'row', gap: space.m, alignItems: 'center', borderBottomWidth: 1, borderBottomColor: colour.line, paddingVertical: space.s },
  checkLast: { borderBottomWidth: 0 },
  picture: { width: 150 },
  start: { alignSelf: 'flex-start' },
  strip: { flexDirection: 'row', gap: space.m, padding: space.m, paddingHorizontal: space.l, borderTopWidth: stroke.thick, borderTopColor: colour.ink, justifyContent: 'center' },
  big: { flex: 1, maxWidth: 340, minHeight: 84, alignItems: 'center', justifyContent: 'center', borderRadius: corner, borderWidth: stroke.thick, borderColor: colour.ink },
  stray: { backgroundColor: colour.card },
  passes: { backgroundColor: colour.ink },
  pressed: { opacity: 0.7 },
});
