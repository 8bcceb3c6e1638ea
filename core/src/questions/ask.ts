import { z } from 'zod';
import { identify } from '../advice/identify';
import { answerEffects, nextChecks } from '../advice/next';
import { pieceCheck } from '../advice/pieces';
import { fallbacks, plan, type Hands } from '../advice/plan';
import { Case, Unnamed } from '../case';
import { CaseError, parseCase, parseUnnamed } from '../case/parse';
import { compileGuide, Guide, type CompiledGuide } from '../guide';
import { applyPack, Pack, parsePack } from '../guide/pack';
import { parseGuide } from '../guide/parse';
import { fieldPath } from '../lib/fieldPath';
import { lint } from '../upkeep/lint';
import { recompute } from '../upkeep/recompute';
import { decide, type Verdict } from '../verdict';

/**
 * What can be asked of the core from outside: one question and one schema each, the same over HTTP and on the
 * command line.
 */

const HandsGiven = z.strictObject({
  gear: z.array(z.string()).optional(),
  without: z.array(z.string()).optional(),
  longest: z.number().positive().optional(),
});
const EarlierFinds = z.record(z.string(), z.number().int().nonnegative());
/** A find with the hands at hand. The find itself is parsed apart, against the guide. */
const withHands = <S extends z.ZodType>(find: S) => z.strictObject({ find, hands: HandsGiven.optional() });
const Question = withHands(z.unknown());
const IdentifyQuestion = Question.extend({ earlierFinds: EarlierFinds.optional() });
const StoredVerdict = z.custom<Verdict>(
  (v) => typeof v === 'object' && v !== null && ['outcome', 'guide', 'reasons', 'rows'].every((k) => k in v),
  'a stored verdict',
);

export const QUESTIONS = {
  decide: { says: 'The verdict of a find, with its bars and all reasons.', schema: Case },
  next: {
    says: 'The checks worth making now, best first, and what each answer to the first would do.',
    schema: Case,
  },
  plan: {
    says: 'The cheapest set of checks that would fill everything, proved cheapest, and what to fall back on.',
    schema: withHands(Case),
  },
  pieces: { says: 'The cheapest checks for every further piece of the patch.', schema: withHands(Case) },
  identify: {
    says: 'Candidates for a find without a name, by probability, and the check that tells most.',
    schema: withHands(Unnamed).extend({ earlierFinds: EarlierFinds.optional() }),
  },
  recompute: {
    says: 'A stored find and its verdict, asked again of this guide.',
    schema: z.strictObject({ find: Case, verdict: z.looseObject({ outcome: z.string() }) }),
  },
  lint: {
    says: 'What a guide would have to mend; of a pack: what this guide would, with the pack laid over it.',
    schema: z.union([Guide, Pack]),
  },
  stack: {
    says: 'This guide with a pack laid over it, and what of the pack was not taken as it was given.',
    schema: Pack,
  },
} as const;

export type Asked = keyof typeof QUESTIONS;
export const ASKED = Object.keys(QUESTIONS) as Asked[];

/**
 * Answers a question given as untrusted JSON.
 *
 * @throws CaseError naming the field (`find.readings[2].value.unit`), or GuideError for a guide to lint
 */
export function ask(asked: Asked, raw: unknown, guide: CompiledGuide): unknown {
  switch (asked) {
    case 'decide':
      return decide(guide, parseCase(raw, guide));
    case 'next': {
      const find = parseCase(raw, guide);
      const checks = nextChecks(guide, find);
      const [first] = checks;
      return { checks, effects: first ? answerEffects(guide, find, first.character) : [] };
    }
    case 'plan': {
      const { find, hands } = question(raw);
      const given = below('find', () => parseCase(find, guide));
      const made = plan(guide, given, hands);
      return { plan: made, fallbacks: fallbacks(guide, given, made, hands) };
    }
    case 'pieces': {
      const { find, hands } = question(raw);
      return pieceCheck(
        guide,
        below('find', () => parseCase(find, guide)),
        hands,
      );
    }
    case 'identify': {
      const { earlierFinds, ...rest } = shaped(IdentifyQuestion, raw);
      return identify(
        guide,
        below('find', () => parseUnnamed(rest.find, guide)),
        { hands: handsOf(rest.hands), ...(earlierFinds ? { earlierFinds } : {}) },
      );
    }
    case 'recompute': {
      const { find, verdict } = shaped(z.strictObject({ find: Case, verdict: StoredVerdict }), raw);
      return below('find', () => recompute({ find, verdict }, guide));
    }
    case 'lint':
      return lint(compileGuide(isPack(raw) ? applyPack(guide.guide, parsePack(raw)).guide : parseGuide(raw)));
    case 'stack':
      return applyPack(guide.guide, parsePack(raw));
  }
}

const isPack = (raw: unknown): boolean =>
  typeof raw === 'object' &&
  raw !== null &&
  'format' in raw &&
  typeof raw.format === 'string' &&
  raw.format.startsWith('pause-pack');

function question(raw: unknown): { find: unknown; hands: Hands } {
  const { find, hands } = shaped(Question, raw);
  return { find, hands: handsOf(hands) };
}

function handsOf(given: z.infer<typeof HandsGiven> | undefined): Hands {
  return {
    ...(given?.gear ? { gear: new Set(given.gear) } : {}),
    ...(given?.without ? { without: new Set(given.without) } : {}),
    ...(given?.longest === undefined ? {} : { longest: given.longest }),
  };
}

function shaped<S extends z.ZodType>(schema: S, raw: unknown): z.infer<S> {
  const parsed = schema.safeParse(raw);
  if (parsed.success) return parsed.data;
  throw new CaseError(
    parsed.error.issues.map((issue) => ({
      field: fieldPath(issue.path) || 'question',
      reason: issue.message,
    })),
  );
}

/** Runs a parse of a member, so that its problems name the member too. */
function below<T>(member: string, parse: () => T): T {
  try {
    return parse();
  } catch (error) {
    if (!(error instanceof CaseError)) throw error;
    throw new CaseError(
      error.problems.map((p) => ({ ...p, field: p.field === 'case' ? member : `${member}.${p.field}` })),
    );
  }
}
