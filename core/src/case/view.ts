import { see, type CompiledCharacter, type CompiledGuide, type Seen } from '../guide';
import type { Case, PieceId, Reading, Unnamed } from './schema';

/** A reading made ready for comparing. */
export type Look = Seen & {
  readonly reading: Reading;
  readonly character: CompiledCharacter;
  /** Shared causes it rests on, as bits. */
  readonly causes: number;
};

/** A case sorted out: what counts, what was taken back, what could not be seen. */
export interface CaseView<F extends Unnamed = Case> {
  readonly find: F;
  /** The piece that the verdict is about: the newest of those to decide. */
  readonly piece: PieceId;
  /** Standing answered looks over the whole find, oldest first. */
  readonly looks: readonly Look[];
  readonly withdrawn: readonly Look[];
  /** Standing looks of the decided piece, by character index. */
  readonly onPiece: ReadonlyMap<number, readonly Look[]>;
  readonly firstReadingAt: string | undefined;
}

/** One reading as a look. "Can't tell" compares with nothing and gives none. */
export function toLook(guide: CompiledGuide, reading: Reading): Look | undefined {
  const character = guide.character(reading.character);
  if (!character || reading.value.kind === 'cant-tell') return undefined;
  const seen = see(reading.value, character);
  if (!seen) return undefined;
  const causes = character.restsOn | seen.causes;
  // Member by member: looks of one form have one shape in memory.
  return seen.kind === 'states'
    ? { kind: seen.kind, mask: seen.mask, reading, character, causes }
    : { kind: seen.kind, low: seen.low, high: seen.high, reading, character, causes };
}

/** The looks of readings that were viewed before: a reading never changes, and is viewed many times. */
const viewed = new WeakMap<CompiledGuide, WeakMap<Reading, Look>>();

function lookOf(guide: CompiledGuide): (reading: Reading) => Look | undefined {
  const known = viewed.get(guide) ?? new WeakMap<Reading, Look>();
  viewed.set(guide, known);
  return (reading) => {
    const before = known.get(reading);
    if (before) return before;
    const look = toLook(guide, reading);
    if (look) known.set(reading, look);
    return look;
  };
}

const byTime = (a: Reading, b: Reading) => (a.at < b.at ? -1 : a.at > b.at ? 1 : a.id < b.id ? -1 : 1);

/**
 * Sorts a parsed case out. The order of its lists does not matter.
 * A withdrawal counts only while the reading is the newest look of its character on its piece:
 * once it has been looked at again, both looks stand.
 */
export function viewCase<F extends Unnamed>(guide: CompiledGuide, find: F): CaseView<F> {
  const readings = [...find.readings].sort(byTime);
  const takenBack = new Map((find.withdrawals ?? []).map((w) => [w.reading as string, w.at]));
  const isWithdrawn = (reading: Reading) => {
    const at = takenBack.get(reading.id);
    return (
      at !== undefined &&
      !readings.some(
        (other) =>
          byTime(reading, other) < 0 &&
          other.at <= at &&
          !takenBack.has(other.id) &&
          other.character === reading.character &&
          other.piece === reading.piece,
      )
    );
  };
  const deciding = find.pieces
    .filter((p) => p.purpose === 'decide')
    .sort((a, b) => (a.startedAt < b.startedAt ? -1 : a.startedAt > b.startedAt ? 1 : a.id < b.id ? -1 : 1));
  const piece = deciding.at(-1);
  if (!piece) throw new Error('a parsed case has a piece to decide about');

  const lookAt = lookOf(guide);
  const looks: Look[] = [];
  const withdrawn: Look[] = [];
  const onPiece = new Map<number, Look[]>();
  for (const reading of readings) {
    const look = lookAt(reading);
    if (!look) continue;
    if (isWithdrawn(reading)) {
      withdrawn.push(look);
      continue;
    }
    looks.push(look);
    if (reading.piece === piece.id)
      onPiece.set(look.character.index, [...(onPiece.get(look.character.index) ?? []), look]);
  }
  return { find, piece: piece.id, looks, withdrawn, onPiece, firstReadingAt: readings[0]?.at };
}
