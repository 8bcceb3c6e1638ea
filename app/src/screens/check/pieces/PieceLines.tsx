import { useMemo } from 'react';
import { StyleSheet, View } from 'react-native';
import { asksForTracing, statesIn } from '@pause/core';
import type { Case, CharacterId } from '@pause/core';
import type { PieceCheck } from '@pause/core/advice/pieces';
import { Body, colour, Small, space, Strong, Grow } from '../../../components';
import { StatePicture } from '../../../components/plates/StatePicture';
import { guide } from '../../../deciding/guide';
import { late } from '../../../lib/late';
import { useOwnRates } from '../../../notebook/ownRates';
import { t } from '../../../text/en/pieceLines';
import { characterName, characterOf, timeWords } from '../../../text/names';

const { useNeeded: usePieces } = late<typeof import('@pause/core/advice/pieces')>(
  () => import('@pause/core/advice/pieces'),
);

export function usePieceCheck(find: Case | undefined): PieceCheck | undefined {
  const program = usePieces();
  const misread = useOwnRates();
  return useMemo(
    () => (program && find ? program.pieceCheck(guide, find, {}, misread) : undefined),
    [program, find, misread],
  );
}

/**
 * Everything that each piece has to show, and what could lie among them that the guide does not know at all.
 */
export function PieceLines({
  check: { checks },
  find,
}: {
  readonly check: Extract<PieceCheck, { readonly feasible: true }>;
  readonly find: Case;
}) {
  const target = guide.taxon(find.target);
  if (!target) return null;
  const relatives = target.taxon.nearRelatives;
  return (
    <>
      {asksForTracing(find, target) ? (
        <View style={styles.check}>
          <Grow>
            <Strong>{t.followedToItsRoot}</Strong>
            <Small soft>{t.growsAmongOthersFollowEach}</Small>
          </Grow>
        </View>
      ) : null}
      {checks.length === 0 ? <Body>{t.theGuideNamesNoLookalike}</Body> : null}
      {checks.map(({ character, seconds }, i) => (
        <PieceLine
          key={character}
          target={find.target}
          stages={find.context.stages}
          character={character}
          seconds={seconds}
          last={i === checks.length - 1}
        />
      ))}
      {relatives.length > 0 ? <Small>{t.couldLieAmongThemAnd(relatives.join(', '))}</Small> : null}
    </>
  );
}

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
  const compiled = guide.character(character);
  const at = guide.taxon(target)?.atStage.get(compiled?.index ?? -1);
  const usual = [...(at ?? [])]
    .filter(([stage]) => stages?.includes(stage) ?? true)
    .flatMap(([, k]) => (compiled && k.kind === 'states' ? statesIn(compiled, k.usual) : []));
  return (
    <View style={[styles.check, last && styles.checkLast]}>
      <Grow>
        <Strong>{characterName(character)}</Strong>
        <Small soft>{known?.how}</Small>
        <Small soft>{timeWords(seconds)}</Small>
      </Grow>
      <View style={styles.picture}>
        <StatePicture character={character} states={[...new Set(usual)]} height={72} />
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  check: {
    flexDirection: 'row',
    gap: space.m,
    alignItems: 'center',
    borderBottomWidth: 1,
    borderBottomColor: colour.line,
    paddingVertical: space.s,
  },
  checkLast: { borderBottomWidth: 0 },
  picture: { width: 150 },
});
