import {
  numberRead,
  statesRead,
  type Case,
  type Piece,
  type Reading,
  type ReadingValue,
  type Sureness,
} from '../case';
import type { Individual } from '../drawing';
import {
  canBeOdd,
  individualValue,
  type CharacterId,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '../guide';
import { seeded } from '../lib/seeded';

/**
 * Specimens that never existed: individuals made of what the guide states, to practise on. The same seed
 * makes the same one.
 */

export interface Specimen {
  readonly taxon: CompiledTaxon['id'];
  readonly stage: StageId;
  readonly seed: number;
  /** What each character shows that can be seen at this stage and of which something is stated. */
  readonly shows: ReadonlyMap<CharacterId, ReadingValue>;
  /** Characters in which it is not as usual, yet as it can be. */
  readonly strained: readonly CharacterId[];
}

export interface SpecimenOf {
  readonly taxon: CompiledTaxon;
  readonly stage: StageId;
  readonly seed: number;
  /**
   * In how many characters it is not as usual, as far as the guide knows of such; it never leaves what is
   * possible.
   */
  readonly strain?: number;
}

/** @throws RangeError for a stage that this taxon does not have */
export function specimenOf(guide: CompiledGuide, { taxon, stage, seed, strain = 0 }: SpecimenOf): Specimen {
  if (!taxon.taxon.stages.includes(stage))
    throw new RangeError(`stage: one of ${taxon.taxon.stages.join(', ')}`);
  const draw = seeded(seed * 7919 + taxon.rank * 104_729 + 17);
  const seen = guide.characters.flatMap((character) => {
    const known = character.stages.has(stage) ? taxon.atStage.get(character.index)?.get(stage) : undefined;
    return known ? [{ character, known }] : [];
  });
  const canStrain = seen.filter(({ known }) => canBeOdd(known));
  // Which of them are strained is drawn first, so that another strain changes nothing else.
  const order = canStrain
    .map((one) => ({ one, at: draw() }))
    .sort((a, b) => a.at - b.at)
    .map(({ one }) => one);
  const strained = new Set(order.slice(0, strain).map(({ character }) => character.id));
  const shows = new Map<CharacterId, ReadingValue>();
  for (const { character, known } of seen) {
    const [at, side] = [draw(), draw()];
    const value = individualValue(known, character, { odd: strained.has(character.id), at, side });
    if (value !== undefined) shows.set(character.id, value);
  }
  return { taxon: taxon.id, stage, seed, shows, strained: [...strained] };
}

const AT = Date.UTC(2026, 0, 1);
const instant = (second: number) => new Date(AT + second * 1000).toISOString();

/** One look at a specimen: what was taken to be seen there, which may be another thing than what it shows. */
export interface LookedAt {
  readonly character: CharacterId;
  readonly value: ReadingValue;
  readonly sureness: Sureness;
}
/** Looks that see what there is, each surely. */
export const seenRightly = (specimen: Specimen, characters: readonly CharacterId[]): LookedAt[] =>
  [...new Set(characters)].map((character) => ({
    character,
    value: specimen.shows.get(character) ?? { kind: 'cant-tell' },
    sureness: 'sure',
  }));

const PIECE = 'p1' as Piece['id'];

/** The find that somebody makes of a specimen: what they take it for, and what they saw of it. */
export function findOf(
  guide: CompiledGuide,
  specimen: Specimen,
  target: CompiledTaxon,
  looks: readonly LookedAt[],
): Case {
  const part =
    target.taxon.parts.find(({ stages }) => stages.includes(specimen.stage)) ?? target.taxon.parts[0];
  const readings = looks.map(({ character, value, sureness }, at) => ({
    id: `r${at}` as Reading['id'],
    piece: PIECE,
    character,
    value,
    sureness,
    by: 'learner',
    at: instant(at + 1),
  }));
  return {
    guide: { id: guide.guide.id, version: guide.version },
    kingdom: guide.taxon(specimen.taxon)?.taxon.kingdom ?? target.taxon.kingdom,
    target: target.id,
    pieces: [{ id: PIECE, startedAt: instant(0), purpose: 'decide' }],
    readings,
    withdrawals: [],
    skips: [],
    context: {
      stages: [specimen.stage],
      condition: 'fresh',
      ...(part ? { part: part.part, use: part.use } : {}),
      permission: 'allowed',
      contamination: 'none-seen',
      protection: 'allowed',
      tracedToBase: true,
    },
  };
}

/**
 * A specimen as it is drawn: the state of each character that has states, the size or number of the others.
 */
export function individualOf({ shows }: Specimen): Individual {
  const shown = (id: string) => shows.get(id as CharacterId);
  return {
    state: (id) => statesRead(shown(id))[0],
    size: (id) => numberRead(shown(id)),
  };
}
