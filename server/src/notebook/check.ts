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

/** What is wrong with an entry of a find that is on record; nothing where it may be added. */
export function checkEntry(entry: FindEntry, around: Around): FieldProblem[] {
  const { guide, person, record, roles } = around;
  const piece = (id: string) =>
    record.pieces.some((p) => p.id === id) ? [] : wrong('piece', `"${id}" is not a piece of this find`);
  const by = (id: string) => (id === person ? [] : wrong('by', `"${id}" is not who is signed in`));
  const verdict = (id: string) =>
    record.verdicts.some((v) => v.id === id) ? [] : wrong('verdict', `"${id}" is not a verdict of this find`);
  switch (entry.kind) {
    case 'finds':
    case 'pieces':
      return [];
    case 'verdicts':
      return verdictProblems(entry.body.verdict);
    case 'targets':
      return guide.taxon(entry.body.taxon)
        ? []
        : wrong('taxon', `"${entry.body.taxon}" is not a taxon of the guide`);
    case 'contexts': {
      const stages = new Set<string>(
        guide.guide.stages.filter((s) => s.kingdom === record.kingdom).map((s) => s.id),
      );
      return (entry.body.context.stages ?? []).flatMap((stage, index) =>
        stages.has(stage)
          ? []
          : wrong(`context.stages[${index}]`, `"${stage}" is not a growth stage of ${record.kingdom}`),
      );
    }
    case 'readings': {
      const { body } = entry;
      // Whoever is there too answers on the device of whoever asked.
      const readers = new Set([record.person, ...record.readings.map((reading) => reading.by)]);
      const beside = record.asks.some((ask) => ask.here && ask.by === person && ask.of === body.by);
      return [
        ...piece(body.piece),
        ...checkValue(body, record.kingdom, guide),
        ...(beside && body.blind === true ? [] : by(body.by)),
        ...(body.together ?? []).flatMap((other, index) =>
          other !== body.by && readers.has(other)
            ? []
            : wrong(`together[${index}]`, `"${other}" is not somebody else who looked at this find`),
        ),
        ...(body.blind === true && !mayBeBlind(record, body.by)
          ? wrong('blind', 'who reads it knows what was read before')
          : []),
      ];
    }
    case 'asks': {
      const { body } = entry;
      const unknown = body.characters.flatMap((character, index) =>
        guide.character(character)
          ? []
          : wrong(`characters[${index}]`, `"${character}" is not a character of the guide`),
      );
      const whom =
        body.of === person
          ? wrong('of', 'a second look is another person’s')
          : body.here || roles.has(body.of)
            ? []
            : wrong('of', `"${body.of}" is not of the group of this find`);
      return [...piece(body.piece), ...by(body.by), ...whom, ...unknown];
    }
    case 'reveals':
    case 'counts':
      return by(entry.body.by);
    case 'pictures':
      return [
        ...by(entry.body.by),
        ...(entry.body.character === undefined || guide.character(entry.body.character)
          ? []
          : wrong('character', `"${entry.body.character}" is not a character of the guide`)),
      ];
    case 'drops': {
      const dropped = record.pictures.find((one) => one.id === entry.body.picture);
      if (!dropped) return wrong('picture', `"${entry.body.picture}" is not a picture of this find`);
      return [
        ...by(entry.body.by),
        ...(dropped.by === person ? [] : wrong('picture', 'only who made a picture takes it out again')),
      ];
    }
    case 'withdrawals': {
      const reading = record.readings.find((r) => r.id === entry.body.reading);
      if (!reading) return wrong('reading', `"${entry.body.reading}" is not a reading of this find`);
      return reading.by === person ? [] : wrong('reading', 'only who made a reading may take it back');
    }
    case 'skips':
      return [
        ...piece(entry.body.piece),
        ...(guide.character(entry.body.character)
          ? []
          : wrong('character', `"${entry.body.character}" is not a character of the guide`)),
      ];
    case 'consents':
      if (roles.get(person) !== 'keeper' && roles.get(person) !== 'member')
        return wrong('by', 'only an adult of the group can agree');
      return [...verdict(entry.body.verdict), ...by(entry.body.by)];
    case 'decisions':
      return [...verdict(entry.body.verdict), ...by(entry.body.by), ...checkChoice(entry.body, around)];
    case 'edits': {
      const { body } = entry;
      if (body.withheld) return wrong('withheld', 'only the server leaves something out');
      const place = PLACE_FIELDS.includes(body.field) && record.person !== person;
      return place ? wrong('field', 'only the finder tells the place, and whom') : by(body.by);
    }
  }
}

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
