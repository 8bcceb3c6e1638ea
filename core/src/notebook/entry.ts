import { z } from 'zod';
import { Context, Instant, PieceId, Reading, ReadingId } from '../case';
import { CharacterId, Kingdom, TaxonId } from '../guide';
import type { Verdict } from '../verdict';
import { Arrival, Ask, Choice, Counted, Drop, Edit, PictureEntry, Reveal, ContextEntry } from './find/record';
import { NewField, NewPage, Sighting } from './page/schema';
import { Stamp } from './stamp';

/**
 * What can be put on record of a find, or on a page of the notebook that is no find. Every entry has an id
 * that the device made, so that sending twice changes nothing, and a stamp, so that devices which were apart
 * agree on what was recorded last. Nothing is ever edited or removed.
 */

const id = z
  .string()
  .min(8)
  .max(64)
  .regex(/^[A-Za-z0-9_-]+$/, 'letters, digits, "-" and "_" only');
const person = z.string().min(1).max(64);

export const NewFind = z.strictObject({
  id,
  startedAt: Instant,
  kingdom: Kingdom,
  bodyPlan: z.string().min(1).max(64).optional(),
  placeNote: z.string().trim().min(1).max(200).optional(),
  person,
  /** The group whose notebook it is in; left out: the person's own. */
  group: z.string().min(1).max(64).optional(),
});
export type NewFind = z.infer<typeof NewFind>;

export const NewPiece = z.strictObject({ id: PieceId, at: Instant, purpose: z.enum(['decide', 'compare']) });
export const NewTarget = z.strictObject({ id, at: Instant, taxon: TaxonId });
/**
 * With `changed`: only these members are changed, and one that is not in `context` is no longer known. Without:
 * the whole of it.
 */
export const NewContext = ContextEntry.omit({ stamp: true }).extend({ id, context: Context });
export const NewReading = Reading;
export const NewWithdrawal = z.strictObject({ id, at: Instant, reading: ReadingId });
export const NewSkip = z.strictObject({ id, at: Instant, piece: PieceId, character: CharacterId });
export const NewVerdict = z.strictObject({
  id,
  at: Instant,
  /**
   * As the device reached it. The server reaches its own from what is on record there, and keeps both where
   * they differ.
   */
  verdict: z.looseObject({
    outcome: z.enum(['leave', 'pause', 'collect']),
    guide: z.strictObject({ id: z.string(), version: z.string() }),
  }) as unknown as z.ZodType<Verdict>,
});
/** A find without a name has no verdict; it can be left, now or until later, and never collected. */
export const NewDecision = z
  .strictObject({
    id,
    at: Instant,
    verdict: id.optional(),
    choice: Choice,
    reason: z.string().trim().min(1).max(500).optional(),
    by: person,
  })
  .refine(({ verdict, choice }) => verdict !== undefined || choice !== 'collect', {
    path: ['verdict'],
    error: 'nothing is collected without a verdict',
  });
/** An adult of the group agrees that a young member collects on this verdict. */
export const NewConsent = z.strictObject({ id, at: Instant, verdict: id, by: person });
export const NewEdit = Edit;
export const NewAsk = Ask;
export const NewReveal = Reveal;

/** The body of a find's entry, by its kind; the kinds in the order in which one needs the other. */
const FIND_BODIES = {
  finds: NewFind,
  pieces: NewPiece,
  targets: NewTarget,
  contexts: NewContext,
  asks: NewAsk,
  reveals: NewReveal,
  readings: NewReading,
  withdrawals: NewWithdrawal,
  skips: NewSkip,
  verdicts: NewVerdict,
  consents: NewConsent,
  decisions: NewDecision,
  edits: NewEdit,
  pictures: PictureEntry,
  drops: Drop,
  counts: Counted,
} as const satisfies Readonly<Record<string, z.ZodType>>;
/** The same of an entry of a page. */
const PAGE_BODIES = { pages: NewPage, fields: NewField, sightings: Sighting } as const satisfies Readonly<
  Record<string, z.ZodType>
>;
export const BODIES = { ...FIND_BODIES, ...PAGE_BODIES } as const;
export type Kind = keyof typeof BODIES;
export const KINDS = Object.keys(BODIES) as readonly Kind[];

interface Envelope {
  /** Left out where an earlier version of the application made it. */
  readonly stamp?: Stamp | undefined;
  /** What the server reached where a verdict of this entry arrived and differed. */
  readonly arrival?: Arrival | undefined;
}
interface OfFind extends Envelope {
  readonly find: string;
  readonly page?: undefined;
}
interface OfPage extends Envelope {
  readonly page: string;
  readonly find?: undefined;
}
/** Something that was put on record of a find. */
export type FindEntry = {
  [K in keyof typeof FIND_BODIES]: OfFind & {
    readonly kind: K;
    readonly body: Readonly<z.infer<(typeof FIND_BODIES)[K]>>;
  };
}[keyof typeof FIND_BODIES];
/** Something that was put on a page. */
export type PageEntry = {
  [K in keyof typeof PAGE_BODIES]: OfPage & {
    readonly kind: K;
    readonly body: Readonly<z.infer<(typeof PAGE_BODIES)[K]>>;
  };
}[keyof typeof PAGE_BODIES];
export type Entry = FindEntry | PageEntry;

const envelope = z.looseObject({
  find: id.optional(),
  page: z.string().min(1).max(64).optional(),
  stamp: Stamp.optional(),
  arrival: Arrival.optional(),
  kind: z.enum(KINDS as [Kind, ...Kind[]]),
  body: z.unknown(),
});

export type ParsedEntry =
  | { readonly entry: Entry }
  | { readonly problems: readonly { readonly field: string; readonly reason: string }[] };

/** An entry from outside. A problem names its field below the entry: `body.value.unit`. */
export function parseEntry(raw: unknown): ParsedEntry {
  const problems = (issues: readonly z.core.$ZodIssue[], below: string) => ({
    problems: issues.map(({ path, message }) => ({
      field: [below, ...path.map(String)].filter(Boolean).join('.') || 'entry',
      reason: message,
    })),
  });
  const around = envelope.safeParse(raw);
  if (!around.success) return problems(around.error.issues, '');
  const { find, page, stamp, arrival, kind } = around.data;
  const ofPage = Object.hasOwn(PAGE_BODIES, kind);
  if ((ofPage ? page : find) === undefined)
    return {
      problems: [
        {
          field: ofPage ? 'page' : 'find',
          reason: `an entry of this kind is of a ${ofPage ? 'page' : 'find'}`,
        },
      ],
    };
  const body = BODIES[kind].safeParse(around.data.body);
  if (!body.success) return problems(body.error.issues, 'body');
  if (kind === 'finds' && (body.data as NewFind).id !== find)
    return { problems: [{ field: 'find', reason: 'a find is put on record under its own id' }] };
  if (kind === 'pages' && (body.data as NewPage).id !== page)
    return { problems: [{ field: 'page', reason: 'a page is put on record under its own id' }] };
  return {
    entry: {
      ...(ofPage ? { page } : { find }),
      kind,
      body: body.data,
      ...(stamp ? { stamp } : {}),
      ...(arrival ? { arrival } : {}),
    } as Entry,
  };
}

/** Entries by the find or the page that they are of, in the order given. */
export function groupEntries(entries: Iterable<Entry>): {
  readonly finds: ReadonlyMap<string, readonly FindEntry[]>;
  readonly pages: ReadonlyMap<string, readonly PageEntry[]>;
} {
  const [finds, pages] = [new Map<string, FindEntry[]>(), new Map<string, PageEntry[]>()];
  for (const entry of entries) {
    if (entry.find === undefined) add(pages, entry.page, entry);
    else add(finds, entry.find, entry);
  }
  return { finds, pages };
}
function add<T>(groups: Map<string, T[]>, id: string, item: T): void {
  const group = groups.get(id);
  if (group) group.push(item);
  else groups.set(id, [item]);
}
