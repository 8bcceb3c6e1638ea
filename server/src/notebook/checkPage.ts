import type { CompiledGuide } from '@pause/core';
import { seesExactShape, type PageEntry, type PageRecord } from '@pause/core/notebook';
import { descentOf, wouldCircle } from '@pause/core/pantry';
import type { Role } from '../db/schema';
import type { FieldProblem } from '../problem';

const wrong = (field: string, reason: string): FieldProblem[] => [{ field, reason }];
interface Around {
  readonly guide: CompiledGuide;
  readonly person: string;
  /** The page so far; none where this entry begins it. */
  readonly page: PageRecord | undefined;
  readonly roles: ReadonlyMap<string, Role>;
  /** What comes from what, as far up as these entries need. */
  readonly parents: ReadonlyMap<string, readonly string[]>;
  /** Whether there is something of that name that this person may read. */
  readonly there: (id: string) => boolean;
  /** Whether there is something of that name that this person may not read. */
  readonly hidden: (id: string) => boolean;
}
/** Who may write what on pages of a kind; each with the reason for whoever may not. */
interface PageRules {
  /** It is never in the notebook of a group. */
  readonly neverShared?: string;
  /** Kept by one person, who alone changes it. */
  readonly ownOnly?: string;
  /** In a group, only its keepers write it. */
  readonly keepersOnly?: string;
  /** Fields that only whoever keeps the page writes. */
  readonly ownFields?: { readonly fields: readonly string[]; readonly why: string };
}
const PAGE_RULES: { readonly [K in PageRecord['kind']]: PageRules } = {
  place: {
    ownFields: {
      fields: ['shape', 'exactFor', 'others'],
      why: 'only who keeps a place tells where it is, and whom',
    },
  },
  eater: { neverShared: 'who eats along is recorded in one’s own notebook only' },
  walk: {},
  harvest: { ownOnly: 'only who took it tells what was taken' },
  batch: {},
  portion: { ownOnly: 'only who began it changes it' },
  taste: {
    ownOnly: 'only who tasted tells how it was',
    neverShared: 'how somebody takes something is recorded in one’s own notebook only',
  },
  practice: { neverShared: 'what somebody practised is recorded in one’s own notebook only' },
  learner: { neverShared: 'how somebody practises is recorded in one’s own notebook only' },
  lesson: { keepersOnly: 'only a keeper of the group makes its lessons' },
  group: { keepersOnly: 'only a keeper of the group tells its rules' },
};

/** What is wrong with an entry of a page; nothing where it may be added. */
export function checkPage(entry: PageEntry, around: Around): FieldProblem[] {
  switch (entry.kind) {
    case 'pages':
      return entry.body.group === undefined
        ? notTheirs(entry, around)
        : [...notTheirs(entry, around), ...whyNever(entry.body.kind), ...notKeeper(entry.body.kind, around)];
    case 'fields':
      return mayNotChange(entry, around) ?? [...notTheirs(entry, around), ...wrongValue(entry, around)];
    case 'sightings':
      return around.page?.kind === 'place'
        ? [...notTheirs(entry, around), ...wrongSighting(entry.body, around)]
        : wrong('page', 'only a place has sightings');
  }
}

type FieldsEntry = Extract<PageEntry, { kind: 'fields' }>;
type Sighting = Extract<PageEntry, { kind: 'sightings' }>['body'];

/** Everybody writes in their own name only. */
const notTheirs = ({ body }: PageEntry, { person }: Around): FieldProblem[] =>
  body.by === person ? [] : wrong('by', `"${body.by}" is not who is signed in`);

const unknownTaxon = (field: string, taxon: string, { guide }: Around): FieldProblem[] =>
  guide.taxon(taxon) ? [] : wrong(field, `"${taxon}" is not a taxon of the guide`);

/** Why this field may not be changed by whoever is signed in; none where it may. */
function mayNotChange({ body }: FieldsEntry, around: Around): FieldProblem[] | undefined {
  const { page, person } = around;
  if (!page || body.of !== page.kind) return wrong('of', `this page is not one of a ${body.of}`);
  if (body.withheld) return wrong('withheld', 'only the server leaves something out');
  const { ownOnly, ownFields } = PAGE_RULES[page.kind];
  const closed = page.group === undefined ? [] : notKeeper(page.kind, around);
  if (closed.length > 0) return closed;
  if (page.kind === 'group' && body.field === 'name' && body.value === null)
    return wrong('value', 'a group has a name');
  if (ownFields?.fields.includes(body.field) === true && page.person !== person)
    return wrong('field', ownFields.why);
  if (ownOnly !== undefined && page.person !== person) return wrong('by', ownOnly);
  if (!seesExactShape(page, person))
    return wrong('page', 'who may not see where a place is cannot change what is recorded of it');
  return undefined;
}

/** What a value names that is not there. */
function wrongValue({ page: id, body }: FieldsEntry, around: Around): FieldProblem[] {
  const ofOneTaxon = (body.of === 'harvest' || body.of === 'taste') && body.field === 'taxon';
  const taxa = body.of === 'lesson' ? [] : taxaIn(body.field, body.value);
  return [
    ...(ofOneTaxon && typeof body.value === 'string' ? unknownTaxon('value', body.value, around) : []),
    ...taxa.flatMap(([path, taxon]) => unknownTaxon(`value${path}`, taxon, around)),
    ...sourceProblems(id, body.value, body.field, around),
  ];
}

function wrongSighting({ taxon, stages = [] }: Sighting, around: Around): FieldProblem[] {
  const { guide } = around;
  const kingdom = guide.taxon(taxon)?.taxon.kingdom;
  if (!kingdom) return unknownTaxon('taxon', taxon, around);
  const known = new Set<string>(
    guide.guide.stages.filter((stage) => stage.kingdom === kingdom).map(({ id }) => id),
  );
  return stages.flatMap((stage, index) =>
    known.has(stage) ? [] : wrong(`stages[${index}]`, `"${stage}" is not a growth stage of ${kingdom}`),
  );
}

const TAXA_FIELDS: readonly string[] = ['forgoneTaxa', 'protectedTaxa', 'likes', 'dislikes'];
/** Lists hold taxa as texts, or as members of that name. */
function taxaIn(field: string, value: unknown): [path: string, taxon: string][] {
  if (!Array.isArray(value)) return [];
  return value.flatMap((item: unknown, index): [string, string][] => {
    if (TAXA_FIELDS.includes(field)) return typeof item === 'string' ? [[`[${index}]`, item]] : [];
    const taxon = typeof item === 'object' && item !== null && 'taxon' in item ? item.taxon : undefined;
    return typeof taxon === 'string' ? [[`[${index}].taxon`, taxon]] : [];
  });
}

const whyNever = (kind: PageRecord['kind']): FieldProblem[] => {
  const { neverShared } = PAGE_RULES[kind];
  return neverShared === undefined ? [] : wrong('group', neverShared);
};

const notKeeper = (kind: PageRecord['kind'], { roles, person }: Around): FieldProblem[] => {
  const { keepersOnly } = PAGE_RULES[kind];
  return keepersOnly === undefined || roles.get(person) === 'keeper' ? [] : wrong('by', keepersOnly);
};

/** The ids that a field names as what something comes from. */
export function sourcesIn(field: string, value: unknown): string[] {
  if (field === 'find') return typeof value === 'string' ? [value] : [];
  if (field !== 'from' && field !== 'of') return [];
  const all: unknown[] = Array.isArray(value) ? value : [value];
  return all.flatMap((one) =>
    typeof one === 'object' && one !== null && 'id' in one && typeof one.id === 'string' ? [one.id] : [],
  );
}

/** What something comes from has to be there, and must not come from it in turn. */
function sourceProblems(
  id: string,
  value: unknown,
  field: string,
  { parents, there, hidden }: Around,
): FieldProblem[] {
  const sources = sourcesIn(field, value);
  const descent = descentOf(
    [...parents].map(([child, above]) => ({ id: child, kind: 'batch', parents: above })),
  );
  return sources.flatMap((source, index) => {
    const at = field === 'find' ? 'value' : `value${Array.isArray(value) ? `[${index}]` : ''}.id`;
    if (wouldCircle(descent, id, [source])) return wrong(at, 'nothing can come from itself');
    // A harvest may come from elsewhere, out of a file, with no find here; never from somebody else's.
    return (field === 'find' ? !hidden(source) : there(source))
      ? []
      : wrong(at, `there is no "${source}" that it could come from`);
  });
}
