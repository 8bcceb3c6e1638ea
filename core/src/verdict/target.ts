import type { CaseView, Look } from '../case';
import { CAUSE_BIT, type CharacterId, type CompiledGuide, type CompiledTaxon } from '../guide';
import { disputesStage, relationAtStages } from './relation';
import { settle, type Settled } from './settle';

/** Groups from which sure fits must come: the defence against a relative that the guide does not know. */
export const GROUPS_NEEDED = 8;
/**
 * So many groups more must fit where one mark of the signature was seen in a form that the target has only
 * now and then.
 */
export const ODD_MARK_GROUPS = 2;
/** At most one settled reading in this many may strain. */
export const STRAIN_SHARE = 6;

export interface SignatureMark {
  readonly character: CharacterId;
  readonly held: boolean;
}

/** How far the target holds, from the looks at the decided piece. */
export interface TargetHolds {
  /** By character index; characters of the place are not in it. */
  readonly settled: ReadonlyMap<number, Settled>;
  readonly fitGroups: readonly string[];
  readonly groupsNeeded: number;
  readonly strains: number;
  /** Settled characters on which the guide says anything of the target. */
  readonly readings: number;
  readonly signature: readonly SignatureMark[];
  /** Characters seen that cannot be seen at the recorded stages. */
  readonly stageDisputes: readonly CharacterId[];
  /** Looks at pieces compared with this one that are against the target. */
  readonly otherPieces: readonly Look[];
  /** Characters of the place that are against it, or strain. */
  readonly placeDoubts: readonly CharacterId[];
  readonly placeStrains: readonly CharacterId[];
}

export function holds(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): TargetHolds {
  const onPiece = readOnPiece(guide, view, target);
  const { marks: signature, odd } = signatureMarks(guide, target, onPiece.settled);
  const groupsAsked = Math.max(
    GROUPS_NEEDED,
    target.taxon.groupsNeeded ?? 0,
    view.find.policy?.groupsNeeded ?? 0,
  );
  return {
    ...onPiece,
    groupsNeeded: odd ? groupsAsked + ODD_MARK_GROUPS : groupsAsked,
    signature,
    otherPieces: againstOnOtherPieces(view, target),
  };
}

/** What the looks at the decided piece come to, character by character. */
function readOnPiece(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
): Omit<TargetHolds, 'groupsNeeded' | 'signature' | 'otherPieces'> {
  const { stages } = view.find.context;
  const settled = new Map<number, Settled>();
  const fits: Fit[] = [];
  const placeDoubts: CharacterId[] = [];
  const placeStrains: CharacterId[] = [];
  const stageDisputes: CharacterId[] = [];
  let strains = 0;
  let readings = 0;
  for (const index of [...view.onPiece.keys()].sort((a, b) => a - b)) {
    const character = guide.characters[index];
    const looks = view.onPiece.get(index);
    if (!character || !looks) continue;
    const outcome = settle(looks, target, stages);
    if (character.place) {
      if (outcome.against > 0) placeDoubts.push(character.id);
      else if (outcome.relation === 'strains') placeStrains.push(character.id);
      continue;
    }
    settled.set(index, outcome);
    if (stages && looks.some((look) => disputesStage(look, stages))) stageDisputes.push(character.id);
    if (outcome.outcome === 'open' || outcome.outcome === 'contradicted' || outcome.relation === 'silent')
      continue;
    readings += 1;
    if (outcome.relation === 'strains') strains += 1;
    const group = guide.groups[character.group];
    if (outcome.sureFit && group !== undefined) fits.push({ group, looks });
  }
  return {
    settled,
    fitGroups: groupsThatFit(fits),
    strains,
    readings,
    stageDisputes,
    placeDoubts,
    placeStrains,
  };
}

/** A character that surely fits the target, by its group. */
interface Fit {
  readonly group: string;
  readonly looks: readonly Look[];
}

/** The groups that fit. The outline is one thing, however many characters it was read in. */
function groupsThatFit(fits: readonly Fit[]): string[] {
  const groups = new Set<string>();
  let outlineFits = false;
  for (const { group, looks } of fits) {
    const ofOutline = looks.every((look) => (look.causes & CAUSE_BIT.outline) !== 0);
    if (ofOutline && outlineFits && !groups.has(group)) continue;
    outlineFits ||= ofOutline;
    groups.add(group);
  }
  return [...groups].sort();
}

/** Looks at pieces compared with the decided one that are against the target. */
function againstOnOtherPieces(view: CaseView, target: CompiledTaxon): readonly Look[] {
  const compared = new Set(
    view.find.pieces.filter((piece) => piece.purpose === 'compare').map((piece) => piece.id),
  );
  if (compared.size === 0) return [];
  return view.looks.filter(
    (look) =>
      compared.has(look.reading.piece) &&
      !look.character.place &&
      relationAtStages(look, target, view.find.context.stages) === 'against',
  );
}

/**
 * Every mark needs a sure reading that fits. One of them may be odd: seen sure in a form that it has now and
 * then.
 */
function signatureMarks(
  guide: CompiledGuide,
  target: CompiledTaxon,
  settled: ReadonlyMap<number, Settled>,
): { readonly marks: readonly SignatureMark[]; readonly odd: boolean } {
  const lookedAt = target.taxon.signature.map((id) => ({
    id,
    of: settled.get(guide.character(id)?.index ?? -1),
  }));
  const marks = lookedAt.map(({ id, of }) => ({
    character: id,
    held: of?.sureFit === true && of.outcome !== 'open',
  }));
  const missing = marks.filter((mark) => !mark.held);
  const only = missing.length === 1 ? lookedAt.find(({ id }) => id === missing[0]?.character) : undefined;
  if (only?.of?.sureStrain !== true) return { marks, odd: false };
  return { marks: marks.map((mark) => ({ ...mark, held: true })), odd: true };
}
