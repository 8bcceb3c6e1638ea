import { viewCase, type Case, type CaseView, type Look, type PieceId, type ReadingId } from '../case';
import type { CharacterId, CompiledGuide, CompiledTaxon, TaxonId } from '../guide';
import { barRows, dangersOf, short, tally, type BarRow, type Dangers, type Tally } from './bars';
import { contextReasons } from './context';
import { expectedHere } from './expected';
import { looksAgain, isTight, slackOf } from './lookAgain';
import { asksOfRows, forgone, groupRules, askedOfRows } from './policy';
import type { LeaveReason, NoteReason, PauseReason, Reason } from './reason';
import { relationAtStages, relationOverall } from './relation';
import { disputedCharacters, settle, LOOKS_THAT_COUNT } from './settle';
import { extraBars, shopping, type Shopping } from './shopping';
import { holds, STRAIN_SHARE, type SignatureMark, type TargetHolds } from './target';
import { unanswered, UNANSWERED_FREE } from './unanswered';

export type Outcome = 'leave' | 'pause' | 'collect';

export interface Verdict {
  readonly outcome: Outcome;
  /** The guide version that was asked: the verdict holds for this one only. */
  readonly guide: { readonly id: string; readonly version: string };
  readonly target: TaxonId;
  readonly piece: string;
  readonly reasons: readonly Reason[];
  readonly rows: readonly BarRow[];
  readonly holds: {
    readonly fitGroups: readonly string[];
    readonly groupsNeeded: number;
    readonly strains: number;
    readonly readings: number;
    readonly signature: readonly SignatureMark[];
  };
  /** Readings whose loss alone would change the outcome. */
  readonly leansOn: readonly ReadingId[];
}

/**
 * Decides a find: a pure function of guide version and case. The same input gives the same verdict, to the
 * byte, wherever it runs (`canonicalJson(decide(guide, find))`).
 *
 * First that applies: *leave* if anything rules it out, *pause* if anything is missing or open, else
 * *collect*. All reasons are given, also those that did not decide.
 *
 * @param guide from `compileGuide`
 * @param find from `parseCase` against the same guide
 * @throws Error if the target is not in the guide (a parsed case never is)
 */
export function decide(guide: CompiledGuide, find: Case): Verdict {
  const view = viewCase(guide, find);
  return verdictFrom(guide, view, weigh(guide, view));
}

/** The verdict of a view that was weighed already. */
export function verdictFrom(guide: CompiledGuide, view: CaseView, weighed: Weighed): Verdict {
  const { held } = weighed;
  return {
    outcome: weighed.outcome,
    guide: { id: guide.guide.id, version: guide.version },
    target: view.find.target,
    piece: view.piece,
    reasons: weighed.reasons,
    rows: weighed.rows,
    holds: {
      fitGroups: held.fitGroups,
      groupsNeeded: held.groupsNeeded,
      strains: held.strains,
      readings: held.readings,
      signature: held.signature,
    },
    leansOn: leansOn(guide, view, weighed),
  };
}

/** What everything but the bars says. */
interface Judged {
  readonly target: CompiledTaxon;
  readonly held: TargetHolds;
  readonly disputed: ReadonlySet<number>;
  readonly shopped: Shopping;
  readonly leave: readonly LeaveReason[];
  readonly pause: readonly PauseReason[];
  /** Something that was not read rules it out: no reading can change that. */
  readonly ruledOutUnread: boolean;
}

function judge(guide: CompiledGuide, view: CaseView): Judged {
  const target = guide.taxon(view.find.target);
  if (!target) throw new Error(`target "${view.find.target}" is not in the guide`);
  const held = holds(guide, view, target);
  const around = contextReasons(view.find, target);
  const contradicted = contradictions(guide, view, target, held);
  const leave: LeaveReason[] = [
    ...(target.taxon.kingdom === view.find.kingdom
      ? []
      : [{ code: 'other-kingdom', target: target.id } as const]),
    ...contradicted,
    ...around.leave,
    ...forgone(view.find, target),
  ];
  const pause: PauseReason[] = [
    ...openContradictions(guide, held, leave),
    ...stillMissing(guide, view, target, held),
    ...around.pause,
  ];
  return {
    target,
    held,
    disputed: disputedCharacters(view),
    shopped: shopping(view),
    leave,
    pause,
    ruledOutUnread: leave.length > contradicted.length,
  };
}

export interface Weighed {
  readonly outcome: Outcome;
  readonly reasons: readonly Reason[];
  readonly rows: readonly BarRow[];
  readonly held: TargetHolds;
  readonly judged: Judged;
  readonly dangers: Dangers;
  readonly tallied: Tally;
}

/**
 * Dangerous ones that are known to stand there: said with every verdict, since a known patch is not a known
 * piece.
 */
function neighbourNotes(
  guide: CompiledGuide,
  neighbours: readonly TaxonId[],
  target: CompiledTaxon,
): NoteReason[] {
  const taxa = neighbours.filter((id) => id !== target.id && (guide.taxon(id)?.grade ?? 'none') !== 'none');
  return taxa.length > 0 ? [{ code: 'dangerous-neighbours', taxa }] : [];
}

/** The one check that may stay open, which costs a bar more against everything deadly. */
function passedOverNote(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): NoteReason[] {
  const open = unanswered(guide, view, target);
  const [character] = open;
  return character !== undefined && open.length <= UNANSWERED_FREE
    ? [{ code: 'passed-over', character }]
    : [];
}

/** The verdict without what it leans on, and what it was made of. */
export function weigh(guide: CompiledGuide, view: CaseView): Weighed {
  const judged = judge(guide, view);
  const { target, held, disputed, shopped, leave } = judged;
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(guide, view, disputed, dangers.same);
  const rows = barRows(guide, dangers, tallied);
  const missingBars = barsShort(rows);
  const second = askedOfRows(guide, view, target, rows, disputed);
  const notes: NoteReason[] = [
    ...[...disputed]
      .sort((a, b) => a - b)
      .map((index) => ({ code: 'disputed', character: characterId(guide, index) }) as const),
    ...(shopped.freshPieces + shopped.changedTargets > 0 ? [{ code: 'shopping', ...shopped } as const] : []),
    ...passedOverNote(guide, view, target),
    ...neighbourNotes(guide, view.find.context.neighbours ?? [], target),
    ...(view.find.policy?.place === 'ignored' ? [] : placeNotes(view, target, held)),
    ...groupRules(view.find.policy).map((rule) => ({ code: 'group-rule', rule }) as const),
    ...second.notes,
    ...unreviewed(guide, target, rows),
    ...(target.taxon.nearRelatives.length > 0
      ? [{ code: 'near-relatives', names: target.taxon.nearRelatives } as const]
      : []),
  ];
  const reasons: Reason[] = [
    ...leave.map((reason) => ({ ...reason, weight: 'leave' }) as const),
    ...judged.pause.map((reason) => ({ ...reason, weight: 'pause' }) as const),
    ...second.pause.map((reason) => ({ ...reason, weight: 'pause' }) as const),
    ...missingBars,
    ...(missingBars.length > 0 ? [] : lookAgainReasons(guide, view, judged, dangers, tallied)),
    ...notes.map((reason) => ({ ...reason, weight: 'note' }) as const),
  ];
  const missing = reasons.some((reason) => reason.weight === 'pause');
  return {
    outcome: leave.length > 0 ? 'leave' : missing ? 'pause' : 'collect',
    reasons,
    rows,
    held,
    judged,
    dangers,
    tallied,
  };
}

/**
 * Reasons that more checks can mend: while there are any, nothing is looked at a second time for safety's
 * sake.
 */
const MENDED_BY_CHECKS: ReadonlySet<string> = new Set([
  'contradicted-open',
  'taken-back',
  'stage-disputed',
  'unanswered',
  'signature-missing',
  'groups-short',
  'strained',
]);

/** What has to be looked at a second time, once every check is made and no row lacks bars. */
function lookAgainReasons(
  guide: CompiledGuide,
  view: CaseView,
  judged: Judged,
  dangers: Dangers,
  tallied: Tally,
): Reason[] {
  if (judged.leave.length > 0 || judged.pause.some(({ code }) => MENDED_BY_CHECKS.has(code))) return [];
  return looksAgain(guide, view, dangers, tallied).map((again) => ({
    weight: 'pause',
    code: 'look-again',
    ...again,
  }));
}

/** Place, season and height raise doubts about the target; more they never do. */
function placeNotes(view: CaseView, target: CompiledTaxon, held: TargetHolds): NoteReason[] {
  const { month, elevation, stages } = view.find.context;
  const { season, height } = expectedHere(target, stages, view.find.context);
  return [
    ...held.placeDoubts.map((character) => ({ code: 'place-doubt', character }) as const),
    ...held.placeStrains.map((character) => ({ code: 'place-strains', character }) as const),
    ...(season === 'against' && month !== undefined ? [{ code: 'season-doubt', month } as const] : []),
    ...(height === 'against' && elevation !== undefined
      ? [{ code: 'height-doubt', elevation } as const]
      : []),
  ];
}

/** What the rows say that lack bars. */
export function barsShort(rows: readonly BarRow[]): Reason[] {
  const reasons: Reason[] = [];
  for (const row of rows) {
    if (short(row) > 0)
      reasons.push({
        weight: 'pause',
        code: 'bars-short',
        taxon: row.taxon,
        grade: row.grade,
        have: row.have,
        need: row.need,
      });
  }
  return reasons;
}

/**
 * The outcome alone, stopping at the first reason that settles it. `among` are the places, in the order of
 * their rows, of the dangers whose bars have to be counted; the others are known to have theirs.
 */
function outcomeOf(guide: CompiledGuide, view: CaseView, among: readonly number[]): Outcome {
  const { target, disputed, leave, pause } = judge(guide, view);
  if (leave.length > 0) return 'leave';
  if (pause.length > 0) return 'pause';
  const dangers = dangersOf(guide, view, target, extraBars(guide, view, target));
  const tallied = tally(
    guide,
    view,
    disputed,
    Int32Array.from(among, (place) => dangers.same[place] as number),
  );
  if (among.some((place, at) => slackOf(view, dangers, tallied, place, at) < 0)) return 'pause';
  if (asksOfRows(view.find.policy)) {
    const rows = barRows(guide, dangers, tally(guide, view, disputed, dangers.same));
    if (askedOfRows(guide, view, target, rows, disputed).pause.length > 0) return 'pause';
  }
  return 'collect';
}

function characterId(guide: CompiledGuide, index: number): CharacterId {
  const character = guide.characters[index];
  if (!character) throw new Error(`no character ${index}`);
  return character.id;
}

/**
 * Contradicted for good: by a majority of at least four looks, or by two while a deadly or serious taxon fits
 * everything seen. Looks that were taken back still count here: a slip can be mended, a refusal not undone.
 */
function contradictions(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): LeaveReason[] {
  const { withdrawn } = view;
  if (withdrawn.length === 0 && [...held.settled.values()].every((settled) => settled.against === 0))
    return [];
  const stages = view.find.context.stages;
  const indices = new Set([
    ...held.settled.keys(),
    ...withdrawn.filter((l) => !l.character.place).map((l) => l.character.index),
  ]);
  const reasons: LeaveReason[] = [];
  let dangers: TaxonId[] | undefined;
  for (const index of [...indices].sort((a, b) => a - b)) {
    const standing = held.settled.get(index);
    const withTakenBack = [
      ...(view.onPiece.get(index) ?? []),
      ...withdrawn.filter((look) => look.character.index === index && look.reading.piece === view.piece),
    ].sort((a, b) =>
      a.reading.at < b.reading.at
        ? -1
        : a.reading.at > b.reading.at
          ? 1
          : a.reading.id < b.reading.id
            ? -1
            : 1,
    );
    const everLooked = settle(withTakenBack, target, stages);
    const character = characterId(guide, index);
    const final =
      standing?.outcome === 'contradicted'
        ? standing
        : everLooked.outcome === 'contradicted'
          ? everLooked
          : undefined;
    if (final) {
      reasons.push({ code: 'contradicted', character, against: final.against, looks: final.looks.length });
      continue;
    }
    const against = withTakenBack
      .slice(0, LOOKS_THAT_COUNT)
      .filter((look) => relationAtStages(look, target, stages) === 'against');
    if (against.length < 2 || everLooked.outcome === 'outvoted') continue;
    dangers ??= dangersThatFitEverything(guide, view, target);
    const taxa = dangers.filter((id) => {
      const taxon = guide.taxon(id);
      return taxon && against.every((look) => ['fits', 'strains'].includes(relationOverall(look, taxon)));
    });
    if (taxa.length > 0) reasons.push({ code: 'contradicted-and-danger-fits', character, taxa });
  }
  return reasons;
}

/** Deadly and serious taxa that nothing seen on the decided piece is against. */
function dangersThatFitEverything(guide: CompiledGuide, view: CaseView, target: CompiledTaxon): TaxonId[] {
  const seen = [...view.onPiece.values()].flat().filter((look) => !look.character.place);
  return guide.taxa
    .filter(
      (taxon) => (taxon.grade === 'deadly' || taxon.grade === 'serious') && taxon.index !== target.index,
    )
    .filter((taxon) => taxon.taxon.kingdom === view.find.kingdom)
    .filter((taxon) => seen.every((look) => relationOverall(look, taxon) !== 'against'))
    .map((taxon) => taxon.id)
    .sort();
}

function openContradictions(
  guide: CompiledGuide,
  held: TargetHolds,
  leave: readonly LeaveReason[],
): PauseReason[] {
  const closed = new Set(leave.flatMap((reason) => ('character' in reason ? [reason.character] : [])));
  return [...held.settled]
    .filter(([index, settled]) => settled.outcome === 'open' && !closed.has(characterId(guide, index)))
    .map(([index, settled]) => ({
      code: 'contradicted-open',
      character: characterId(guide, index),
      against: settled.against,
      looks: settled.looks.length,
    }));
}

/**
 * Looks that were taken back and not made again, on whatever piece: the place apart, which settles nothing.
 */
function takenBack(view: CaseView): { character: CharacterId; piece: PieceId }[] {
  if (view.withdrawn.length === 0) return [];
  const open = view.withdrawn.filter(
    (gone) =>
      !gone.character.place &&
      !view.looks.some(
        (look) => look.character.index === gone.character.index && look.reading.piece === gone.reading.piece,
      ),
  );
  const named = new Map(
    open.map((look) => [
      `${look.character.id} ${look.reading.piece}`,
      { character: look.character.id, piece: look.reading.piece },
    ]),
  );
  return [...named].sort(([a], [b]) => (a < b ? -1 : 1)).map(([, what]) => what);
}

function stillMissing(
  guide: CompiledGuide,
  view: CaseView,
  target: CompiledTaxon,
  held: TargetHolds,
): PauseReason[] {
  const reasons: PauseReason[] = [];
  for (const { character, piece } of takenBack(view)) reasons.push({ code: 'taken-back', character, piece });
  for (const character of held.stageDisputes) reasons.push({ code: 'stage-disputed', character });
  for (const look of held.otherPieces) {
    reasons.push({ code: 'other-piece-against', character: look.character.id, piece: look.reading.piece });
  }
  const open = unanswered(guide, view, target);
  if (open.length > UNANSWERED_FREE) reasons.push({ code: 'unanswered', characters: open });
  for (const mark of held.signature)
    if (!mark.held) reasons.push({ code: 'signature-missing', character: mark.character });
  if (held.fitGroups.length < held.groupsNeeded) {
    reasons.push({ code: 'groups-short', have: held.fitGroups.length, need: held.groupsNeeded });
  }
  if (held.strains * STRAIN_SHARE > held.readings)
    reasons.push({ code: 'strained', strains: held.strains, readings: held.readings });
  return reasons;
}

function unreviewed(guide: CompiledGuide, target: CompiledTaxon, rows: readonly BarRow[]): NoteReason[] {
  const pair = [
    target.id,
    ...rows.filter((row) => row.listed && row.grade === 'deadly').map((row) => row.taxon),
  ];
  const taxa = pair.filter((id) => guide.taxon(id)?.taxon.review.reviewedBy === null);
  return taxa.length > 0 ? [{ code: 'unreviewed', taxa }] : [];
}

/** Reasons to pause that the loss of a reading cannot mend, as long as no look is against the target. */
const STAYS: ReadonlySet<string> = new Set([
  'context-missing',
  'signature-missing',
  'groups-short',
  'unanswered',
  'taken-back',
  'name-open',
  'ask-for-eater',
  'not-traced',
]);

/** Whether something is missing that the loss of a reading cannot mend. */
export function staysMissing(reasons: readonly { readonly code: string }[]): boolean {
  return reasons.some(({ code }) => STAYS.has(code));
}

/**
 * Readings whose loss alone would change the outcome.
 *
 * Most are settled without deciding again: while something is missing anyway, no loss matters; and a look
 * that is the only one at its character takes with it its fit, its group, its mark, and at most one bar of a
 * row. Only rows without a bar to spare need to be counted again.
 */
function leansOn(guide: CompiledGuide, view: CaseView, weighed: Weighed): ReadingId[] {
  const { judged, tallied, dangers, outcome, held } = weighed;
  if (judged.ruledOutUnread) return [];
  const quiet =
    view.withdrawn.length === 0 &&
    held.otherPieces.length === 0 &&
    [...held.settled.values()].every((s) => s.against === 0);
  if (outcome === 'pause' && quiet && staysMissing(judged.pause)) return [];

  // Rows that can lose nothing.
  const places = dangers.standing.map((_, at) => at);
  const tight = places.filter((place) => isTight(view, dangers, tallied, place));
  const among = outcome === 'collect' ? tight : places;
  const passed = new Set<string>([
    ...(view.find.skips ?? []).map((skip) => skip.character),
    ...view.find.readings.filter((r) => r.value.kind === 'cant-tell').map((r) => r.character),
  ]);
  const withdrawn = new Set<string>((view.find.withdrawals ?? []).map((w) => w.reading));
  const looksAt = new Map<number, number>();
  for (const look of view.looks)
    looksAt.set(look.character.index, (looksAt.get(look.character.index) ?? 0) + 1);

  const simple = outcome === 'collect' && quiet && !asksOfRows(view.find.policy);
  return view.looks
    .filter((look) => !withdrawn.has(look.reading.id))
    .filter((look) => {
      if (simple && looksAt.get(look.character.index) === 1 && !passed.has(look.character.id)) {
        if (losesTarget(guide, view, held, look)) return true;
        const loses = tight.filter((at) => tallied.countWithout(at, look) < tallied.count(at));
        if (loses.length === 0) return false;
        // Of a deadly one, a bar that was seen twice may make good for the lost one: that is decided again.
        if (loses.some((at) => dangers.standing[at]?.grade !== 'deadly')) return true;
      }
      const without = { ...view.find, readings: view.find.readings.filter((r) => r.id !== look.reading.id) };
      return outcomeOf(guide, viewCase(guide, without), among) !== outcome;
    })
    .map((look) => look.reading.id)
    .sort();
}

/** Whether the target would not hold without this look, the only one at its character. */
function losesTarget(guide: CompiledGuide, view: CaseView, held: TargetHolds, look: Look): boolean {
  const { character, reading } = look;
  if (reading.piece !== view.piece || character.place) return false;
  const settled = held.settled.get(character.index);
  if (!settled || settled.relation === 'silent') return false;
  if (held.signature.some((mark) => mark.character === character.id)) return true;
  if (held.strains * STRAIN_SHARE > held.readings - 1 && settled.relation !== 'strains') return true;
  if (!settled.sureFit || held.fitGroups.length > held.groupsNeeded) return false;
  return ![...held.settled].some(
    ([index, other]) =>
      index !== character.index && other.sureFit && guide.characters[index]?.group === character.group,
  );
}
