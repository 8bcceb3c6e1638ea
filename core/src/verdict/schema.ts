import { z } from 'zod';
import { Condition, Contamination, OpenName, PieceId, ReadingId } from '../case';
import { CharacterId, HarmGrade, SharedCause, StageId, TaxonId } from '../guide';
import type { Verdict } from './decide';
import type { ContextField, GroupRule, Reason, ReasonCode } from './reason';

/** A verdict that comes from outside, with nothing in it but what this version knows of verdicts. */

const count = z.number().int().min(0).max(1000);
const word = z.string().min(1).max(80);
const sentence = z.string().max(2000);
const taxa = z.array(TaxonId).max(400);
const character = { character: CharacterId };
const looks = { against: count, looks: count };
const bars = { have: count, need: count };
const eater = { eater: z.string().max(80), caution: z.string().max(200), text: sentence };
const FIELDS = [
  'stages',
  'condition',
  'part',
  'use',
  'permission',
  'contamination',
  'protection',
  'tracedToBase',
] as const satisfies readonly ContextField[];
const RULES = ['extra-bars', 'more-groups', 'place-ignored'] as const satisfies readonly GroupRule[];

type ReasonOf<C extends ReasonCode> = Extract<Reason, { code: C }>;
/** Every reason: how much it weighs, and its parameters. */
const REASONS = {
  'other-kingdom': ['leave', { target: TaxonId }],
  'not-wanted': ['leave', { target: TaxonId }],
  contradicted: ['leave', { ...character, ...looks }],
  'contradicted-and-danger-fits': ['leave', { ...character, taxa }],
  'part-not-wanted': ['leave', { part: word }],
  'part-harmful': ['leave', { part: word }],
  'use-not-known': ['leave', { part: word, use: word }],
  'part-not-at-stage': ['leave', { part: word, good: z.array(StageId).max(40) }],
  'condition-rules-out': ['leave', { condition: Condition }],
  'place-forbidden': ['leave', {}],
  'place-contaminated': ['leave', { contamination: Contamination }],
  protected: ['leave', { by: z.literal('group').optional() }],
  'near-double': ['leave', { taxon: TaxonId, why: sentence }],
  'not-for-eater': ['leave', eater],
  'forgone-taxon': ['leave', { target: TaxonId }],
  'forgone-family': ['leave', { family: word }],
  'bars-short': ['pause', { taxon: TaxonId, grade: HarmGrade, ...bars }],
  'look-again': ['pause', { ...character, taxa }],
  'signature-missing': ['pause', character],
  'groups-short': ['pause', bars],
  strained: ['pause', { strains: count, readings: count }],
  'contradicted-open': ['pause', { ...character, ...looks }],
  'other-piece-against': ['pause', { ...character, piece: PieceId }],
  'taken-back': ['pause', { ...character, piece: PieceId }],
  unanswered: ['pause', { characters: z.array(CharacterId).max(400) }],
  'stage-disputed': ['pause', character],
  'not-traced': ['pause', {}],
  'ask-for-eater': ['pause', eater],
  'name-open': ['pause', { name: OpenName }],
  'second-look-missing': ['pause', { taxon: TaxonId, ...bars }],
  'not-earned': ['pause', { taxa }],
  'context-missing': ['pause', { field: z.enum(FIELDS) }],
  disputed: ['note', character],
  shopping: ['note', { freshPieces: count, changedTargets: count, extraBars: count }],
  'passed-over': ['note', character],
  'place-doubt': ['note', character],
  'place-strains': ['note', character],
  'dangerous-neighbours': ['note', { taxa }],
  'season-doubt': ['note', { month: z.number().int().min(1).max(12) }],
  'height-doubt': ['note', { elevation: z.number().min(-500).max(9000) }],
  'group-rule': ['note', { rule: z.enum(RULES) }],
  'second-look-off': ['note', { taxa }],
  unreviewed: ['note', { taxa }],
  'near-relatives': ['note', { names: z.array(z.string().max(200)).max(100) }],
} as const satisfies {
  readonly [C in ReasonCode]: readonly [
    weight: ReasonOf<C>['weight'],
    parameters: { readonly [P in Exclude<keyof ReasonOf<C>, 'code' | 'weight'>]-?: z.ZodType },
  ];
};

const shapes = Object.entries(REASONS).map(([code, [weight, parameters]]) =>
  z.strictObject({ code: z.literal(code), weight: z.literal(weight), ...(parameters as z.ZodRawShape) }),
);
const AnyReason = z.discriminatedUnion('code', shapes as [(typeof shapes)[number], ...typeof shapes]);

const Bar = z.strictObject({
  reading: ReadingId,
  character: CharacterId,
  group: z.string().max(80),
  causes: z.array(SharedCause).max(10),
});
const BarRow = z.strictObject({
  taxon: TaxonId,
  grade: HarmGrade,
  listed: z.boolean(),
  ...bars,
  bars: z.array(Bar).max(40),
  otherKingdom: z.boolean(),
});

/** @see Verdict */
export const StrictVerdict = z.strictObject({
  outcome: z.enum(['leave', 'pause', 'collect']),
  guide: z.strictObject({ id: word, version: z.string().regex(/^[0-9a-f]{64}$/, '64 hexadecimal digits') }),
  target: TaxonId,
  piece: PieceId,
  reasons: z.array(AnyReason).max(2000),
  rows: z.array(BarRow).max(400),
  holds: z.strictObject({
    fitGroups: z.array(z.string().max(80)).max(200),
    groupsNeeded: count,
    strains: count,
    readings: count,
    signature: z.array(z.strictObject({ character: CharacterId, held: z.boolean() })).max(20),
  }),
  leansOn: z.array(ReadingId).max(500),
});

/** What is in a verdict from outside that does not belong there, or is missing; nothing where it is one. */
export function verdictProblems(verdict: Verdict): { readonly field: string; readonly reason: string }[] {
  const { error } = StrictVerdict.safeParse(verdict);
  return (error?.issues ?? [])
    .slice(0, 20)
    .map(({ path, message }) => ({ field: ['verdict', ...path.map(String)].join('.'), reason: message }));
}
