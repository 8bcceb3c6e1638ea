import { mayBeBlind, type CompiledGuide } from '@pause/core';
import { checkValue } from '@pause/core/case/parse';
import type { FindEntry } from '@pause/core/notebook';
import { verdictProblems } from '@pause/core/questions';
import type { Role } from '../db/schema';
import type { FieldProblem } from '../problem';
import type { OnRecord } from './onRecord';

/**
 * What a check of an entry knows: who tells it, what is on record of its find, and who belongs to its group.
 */
export interface Around {
  readonly guide: CompiledGuide;
  readonly person: string;
  readonly record: OnRecord;
  /** Roles of everybody in the find's group by now; none for a find of one's own. */
  readonly roles: ReadonlyMap<string, Role>;
}

const wrong = (field: string, reason: string): FieldProblem[] => [{ field, reason }];
const PLACE_FIELDS: readonly string[] = ['placeNote', 'position', 'placePage', 'exactFor', 'others'];

/** The find itself, before there is a record of it. */
export function checkFind(
  { body }: Extract<FindEntry, { kind: 'finds' }>,
  guide: CompiledGuide,
  person: string,
): FieldProblem[] {
  if (body.person !== person) return wrong('person', `"${body.person}" is not who is signed in`);
  const plan = guide.guide.bodyPlans.find((p) => p.id === body.bodyPlan);
  return body.bodyPlan !== undefined && plan?.kingdom !== body.kingdom
    ? wrong('bodyPlan', `"${body.bodyPlan}" is not a body plan of ${body.kingdom}`)
    : [];
}

type BodyOf<K extends FindEntry['kind']> = Extract<FindEntry, { kind: K }>['body'];

const isPiece = ({ record }: Around, id: string) =>
  record.pieces.some((p) => p.id === id) ? [] : wrong('piece', `"${id}" is not a piece of this find`);
const isSigned = ({ person }: Around, by: string) =>
  by === person ? [] : wrong('by', `"${by}" is not who is signed in`);
const isVerdict = ({ record }: Around, id: string) =>
  record.verdicts.some((v) => v.id === id) ? [] : wrong('verdict', `"${id}" is not a verdict of this find`);
const isCharacter = ({ guide }: Around, id: string, field: string) =>
  guide.character(id) ? [] : wrong(field, `"${id}" is not a character of the guide`);

/** What is wrong with an entry of a find that is on record, by its kind; nothing where it may be added. */
const CHECKS: {
  readonly [K in FindEntry['kind']]: (body: BodyOf<K>, around: Around) => FieldProblem[];
} = {
  finds: () => [],
  pieces: () => [],
  verdicts: ({ verdict }) => verdictProblems(verdict),
  targets: ({ taxon }, { guide }) =>
    guide.taxon(taxon) ? [] : wrong('taxon', `"${taxon}" is not a taxon of the guide`),
  contexts: ({ context }, { guide, record }) => {
    const stages = new Set<string>(
      guide.guide.stages.filter((s) => s.kingdom === record.kingdom).map((s) => s.id),
    );
    return (context.stages ?? []).flatMap((stage, index) =>
      stages.has(stage)
        ? []
        : wrong(`context.stages[${index}]`, `"${stage}" is not a growth stage of ${record.kingdom}`),
    );
  },
  readings: (body, around) => {
    const { guide, person, record } = around;
    // Whoever is there too answers on the device of whoever asked.
    const readers = new Set([record.person, ...record.readings.map((reading) => reading.by)]);
    const beside = record.asks.some((ask) => ask.here && ask.by === person && ask.of === body.by);
    return [
      ...isPiece(around, body.piece),
      ...checkValue(body, record.kingdom, guide),
      ...(beside && body.blind === true ? [] : isSigned(around, body.by)),
      ...(body.together ?? []).flatMap((other, index) =>
        other !== body.by && readers.has(other)
          ? []
          : wrong(`together[${index}]`, `"${other}" is not somebody else who looked at this find`),
      ),
      ...(body.blind === true && !mayBeBlind(record, body.by)
        ? wrong('blind', 'who reads it knows what was read before')
        : []),
    ];
  },
  asks: (body, around) => {
    const whom =
      body.of === around.person
        ? wrong('of', 'a second look is another person’s')
        : body.here || around.roles.has(body.of)
          ? []
          : wrong('of', `"${body.of}" is not of the group of this find`);
    return [
      ...isPiece(around, body.piece),
      ...isSigned(around, body.by),
      ...whom,
      ...body.characters.flatMap((id, index) => isCharacter(around, id, `characters[${index}]`)),
    ];
  },
  reveals: ({ by }, around) => isSigned(around, by),
  counts: ({ by }, around) => isSigned(around, by),
  pictures: ({ by, character }, around) => [
    ...isSigned(around, by),
    ...(character === undefined ? [] : isCharacter(around, character, 'character')),
  ],
  drops: ({ by, picture }, around) => {
    const dropped = around.record.pictures.find((one) => one.id === picture);
    if (!dropped) return wrong('picture', `"${picture}" is not a picture of this find`);
    return [
      ...isSigned(around, by),
      ...(dropped.by === around.person ? [] : wrong('picture', 'only who made a picture takes it out again')),
    ];
  },
  withdrawals: ({ reading: id }, { record, person }) => {
    const reading = record.readings.find((r) => r.id === id);
    if (!reading) return wrong('reading', `"${id}" is not a reading of this find`);
    return reading.by === person ? [] : wrong('reading', 'only who made a reading may take it back');
  },
  skips: ({ piece, character }, around) => [
    ...isPiece(around, piece),
    ...isCharacter(around, character, 'character'),
  ],
  consents: ({ verdict, by }, around) => {
    const role = around.roles.get(around.person);
    return role === 'keeper' || role === 'member'
      ? [...isVerdict(around, verdict), ...isSigned(around, by)]
      : wrong('by', 'only an adult of the group can agree');
  },
  decisions: (body, around) => [
    ...(body.verdict === undefined ? [] : isVerdict(around, body.verdict)),
    ...isSigned(around, body.by),
    ...checkChoice(body, around),
  ],
  edits: ({ field, by, withheld }, around) => {
    if (withheld) return wrong('withheld', 'only the server leaves something out');
    const place = PLACE_FIELDS.includes(field) && around.record.person !== around.person;
    return place ? wrong('field', 'only the finder tells the place, and whom') : isSigned(around, by);
  },
};
const checkBody = <K extends FindEntry['kind']>(kind: K, body: BodyOf<K>, around: Around): FieldProblem[] =>
  CHECKS[kind](body, around);

/** What is wrong with an entry of a find that is on record; nothing where it may be added. */
export const checkEntry = (entry: FindEntry, around: Around): FieldProblem[] =>
  checkBody(entry.kind, entry.body, around);

function checkChoice(
  body: Extract<FindEntry, { kind: 'decisions' }>['body'],
  { person, record, roles }: Around,
): FieldProblem[] {
  if (body.choice !== 'collect') return [];
  if (roles.get(person) === 'young' && !record.consents.some((consent) => consent.verdict === body.verdict)) {
    return wrong('choice', 'a young member collects only when an adult of the group has agreed');
  }
  const outcome = record.verdicts.find((v) => v.id === body.verdict)?.outcome;
  return outcome !== 'collect' && body.reason === undefined
    ? wrong('reason', `collecting against "${outcome}" needs a reason`)
    : [];
}
