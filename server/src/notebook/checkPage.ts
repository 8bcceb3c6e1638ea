import type { CompiledGuide } from '@pause/core';
import { toldPlaceExactly, type PageEntry, type PageRecord } from '@pause/core/notebook';
import type { Role } from '../db/schema';
import type { FieldProblem } from '../problem';

const wrong = (field: string, reason: string): FieldProblem[] => [{ field, reason }];
/** Only whoever keeps a place tells where it is, and whom. */
const KEEPERS_FIELDS: readonly string[] = ['shape', 'exactFor', 'others'];

interface Around {
  readonly guide: CompiledGuide;
  readonly person: string;
  /** The page as it stands; none where this entry begins it. */
  readonly page: PageRecord | undefined;
  readonly roles: ReadonlyMap<string, Role>;
}

/** What is wrong with an entry of a page; nothing where it may be added. */
export function checkPage(entry: PageEntry, { guide, person, page, roles }: Around): FieldProblem[] {
  const by = entry.body.by === person ? [] : wrong('by', `"${entry.body.by}" is not who is signed in`);
  const known = (field: string, taxon: string | undefined) => (taxon === undefined || guide.taxon(taxon) ? [] : wrong(field, `"${taxon}" is not a taxon of the guide`));
  switch (entry.kind) {
    case 'pages':
      return [...by, ...(entry.body.kind === 'eater' && entry.body.group !== undefined ? wrong('group', 'who eats along is told in one’s own notebook only') : [])];
    case 'fields': {
      const { body } = entry;
      if (!page || body.of !== page.kind) return wrong('of', `this page is not one of a ${body.of}`);
      if (body.withheld) return wrong('withheld', 'only the server leaves something out');
      if (page.kind === 'group' && roles.get(person) !== 'keeper') return wrong('by', 'only a keeper of the group tells its rules');
      if (page.kind === 'group' && body.field === 'name' && body.value === null) return wrong('value', 'a group has a name');
      if (page.kind === 'place' && KEEPERS_FIELDS.includes(body.field) && page.person !== person) return wrong('field', 'only who keeps a place tells where it is, and whom');
      if (page.kind === 'harvest' && page.person !== person) return wrong('by', 'only who took it tells what was taken');
      if (!toldPlaceExactly(page, person)) return wrong('page', 'who is not told where a place is cannot change what is told of it');
      return [...by, ...(page.kind === 'harvest' && body.field === 'taxon' && typeof body.value === 'string' ? known('value', body.value) : []), ...taxaIn(body.field, body.value).flatMap(([path, taxon]) => known(`value${path}`, taxon))];
    }
    case 'sightings': {
      if (page?.kind !== 'place') return wrong('page', 'only a place has sightings');
      const kingdom = guide.taxon(entry.body.taxon)?.taxon.kingdom;
      const stages = new Set<string>(guide.guide.stages.filter((s) => s.kingdom === kingdom).map((s) => s.id));
      return [
        ...by, ...known('taxon', entry.body.taxon),
        ...(kingdom ? (entry.body.stages ?? []).flatMap((stage, index) => (stages.has(stage) ? [] : wrong(`stages[${index}]`, `"${stage}" is not a growth stage of ${kingdom}`))) : []),
      ];
    }
  }
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
