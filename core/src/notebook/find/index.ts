import type { Case, Policy, Unnamed } from '../../case';
import type { CompiledGuide } from '../../guide';
import { blindAsk } from './blind';
import type { FindRecord, FindSummary } from './record';
import { verbatimIdentificationOf } from './written';

export { applyEntries, applyEntry, entriesOf, findsOf } from './fold';
export { FIND_KINDS, FIND_KIND_NAMES, neededBy } from './kinds';
export { placedAll } from './placed';
export { contextOf, edited, verbatimIdentificationOf } from './written';
export { blindAsk, mayBeBlind } from './blind';
export { countOf, type PieceCount } from './counted';
// Only what they are: parsing them is a matter of the notebook, and fetched with it.
export type {
  Arrival,
  Ask,
  Choice,
  Consent,
  Decision,
  Edit,
  EditField,
  FindRecord,
  FindSummary,
  Outcome,
  Position,
  Reveal,
  ContextEntry,
} from './record';

/** The line of a find in the log, from all that is on record of it. */
export function summaryOf(record: FindRecord): FindSummary {
  const { id, number, startedAt, kingdom, placeNote, person, group } = record;
  const everAsked = [...new Set(record.asks.map((ask) => ask.of))];
  const asked = everAsked.filter((of) => blindAsk(record, of) !== undefined);
  const lookedAgain = everAsked.filter(
    (of) => !asked.includes(of) && record.readings.some(({ by, blind }) => by === of && blind === true),
  );
  const typed = verbatimIdentificationOf(record);
  // What was recorded last comes last, by its stamp.
  const [target, verdict, decision] = [
    record.targets.at(-1)?.taxon,
    record.verdicts.at(-1),
    record.decisions.at(-1)?.choice,
  ];
  return {
    id,
    startedAt,
    kingdom,
    person,
    readings: record.readings.length,
    ...(asked.length > 0 ? { asked } : {}),
    ...(lookedAgain.length > 0 ? { lookedAgain } : {}),
    ...(group === undefined ? {} : { group }),
    ...(verdict?.arrival ? { differs: true } : {}),
    ...(number === undefined ? {} : { number }),
    ...(placeNote === undefined ? {} : { placeNote }),
    ...(target === undefined ? {} : { target }),
    ...(typed === undefined ? {} : { verbatimIdentification: typed }),
    ...(verdict === undefined ? {} : { outcome: verdict.verdict.outcome }),
    ...(decision === undefined ? {} : { choice: decision }),
  };
}

/**
 * The find as the deciding function sees it, for this guide and the rules of its group. The same record gives
 * the same case in the browser and on the server.
 *
 * @returns undefined while it has no name, or no piece was started
 */
export function caseOf(record: FindRecord, guide: CompiledGuide, policy?: Policy): Case | undefined {
  const target = record.targets.at(-1);
  if (!target || !record.pieces.some((p) => p.purpose === 'decide')) return undefined;
  return {
    ...seenOf(record, guide),
    ...(policy ? { policy } : {}),
    target: target.taxon,
    // A target was left at the moment the next one was named.
    earlierTargets: record.targets.slice(0, -1).map((earlier, index) => ({
      taxon: earlier.taxon,
      at: record.targets[index + 1]?.at ?? target.at,
    })),
  };
}

/**
 * The find as it is before anyone named it: what was seen, and nothing of what it is taken for.
 *
 * @returns undefined while no piece was started
 */
export function unnamedOf(record: FindRecord, guide: CompiledGuide): Unnamed | undefined {
  return record.pieces.some((p) => p.purpose === 'decide') ? seenOf(record, guide) : undefined;
}

function seenOf(record: FindRecord, guide: CompiledGuide): Unnamed {
  return {
    guide: { id: guide.guide.id, version: guide.version },
    kingdom: record.kingdom,
    ...(record.bodyPlan === undefined ? {} : { bodyPlan: record.bodyPlan }),
    pieces: record.pieces,
    readings: record.readings,
    withdrawals: record.withdrawals,
    skips: record.skips,
    context: record.context,
  };
}
