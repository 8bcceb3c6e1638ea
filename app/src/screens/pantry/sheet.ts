import { edited, type FindRecord } from '@pause/core';
import { ancestorsOf, descendantsOf, type Descent } from '@pause/core/pantry';
import type { CouldBe } from '@pause/core/pantry/recall';
import { guide } from '../../deciding/guide';
import type { BatchPage, Pantry, PortionPage } from '../../notebook/pantry';
import { currentFind } from '../../notebook/repository/finds';
import type { Thunk } from '../../notebook/store';
import { momentWords } from '../../text/days';
import { t as pantryText } from '../../text/en/pantry';
import { t } from '../../text/en/sheet';
import { listed } from '../../text/messages';
import {
  characterName,
  CHOICE,
  CommonName,
  lowerFirst,
  OUTCOME,
  partName,
  readingWords,
  SURENESS,
} from '../../text/names';
import { amountWords, METHOD, SIGN, stepWords, cookedWords } from '../../text/pantry';
import { isoDayName } from '../../text/places';
import { stepsOf } from './batch';
import { portionWords } from './PantryParts';
import { harmWords, insteadLines } from './sheetInstead';

/** One page for whoever treats somebody: all that is on record of what was eaten, in plain words. */

export interface SheetPart {
  readonly title: string;
  readonly lines: readonly string[];
}
export interface Sheet {
  readonly title: string;
  readonly finds: readonly string[];
  readonly parts: readonly SheetPart[];
}
/** What only somebody there can tell. */
export interface Typed {
  readonly who: string;
  readonly when: string;
  readonly amount: string;
  readonly signs: string;
}
export const NOTHING_TYPED: Typed = { who: '', when: '', amount: '', signs: '' };

/** The finds that something goes back to: itself, where it is one. */
export function findsBehind(descent: Descent, id: string): string[] {
  const above = ancestorsOf(descent, id).filter((one) => descent.kinds.get(one) === 'find');
  return above.length > 0 ? above : [id];
}
export const recordsBehind =
  (ids: readonly string[]): Thunk<Promise<FindRecord[]>> =>
  async (dispatch) =>
    (await Promise.all(ids.map((id) => dispatch(currentFind(id))))).flatMap((one) => one ?? []);

interface SheetQuestion {
  readonly id: string;
  readonly pantry: Pantry;
  readonly records: readonly FindRecord[];
  /** What these finds may have been. */
  readonly could: readonly CouldBe[];
  readonly typed: Typed;
  readonly nameOf: (person: string) => string;
  readonly printedAt: Date;
}

/** "Chanterelle, Cantharellus cibarius, Cantharellaceae; cap"; of what does harm by itself, that too. */
function takenFor(record: FindRecord): string {
  const named = record.targets.at(-1)?.taxon;
  if (named === undefined) return t.itWasGivenNoName;
  const taxon = guide.taxon(named);
  if (!taxon) return t.whichThisGuideDoesNot(named);
  const {
    id,
    grade,
    taxon: { family, scientificName: name },
  } = taxon;
  return [
    `${CommonName(id)}, ${name}, ${family}`,
    record.context.part && partName(id, record.context.part),
    grade !== 'none' && harmWords(taxon),
  ]
    .filter(Boolean)
    .join('; ');
}

export function sheetOf({ id, pantry, records, could, typed, nameOf, printedAt }: SheetQuestion): Sheet {
  const below = new Set([id, ...descendantsOf(pantry.descent, [id])]);
  const portions = pantry.portions.filter(
    (one) => below.has(one.id) && (one.fields.what === 'meal' || one.fields.what === 'outward'),
  );
  const taste = pantry.tastes.find((one) => one.id === id);
  const lineage = new Set([id, ...ancestorsOf(pantry.descent, id)]);
  const batches = pantry.batches.filter((one) => lineage.has(one.id));
  const typedLine = (label: string, text: string) => (text.trim() === '' ? [] : [`${label}: ${text.trim()}`]);
  const parts: SheetPart[] = [
    { title: t.whatItWasTakenFor, lines: records.map(takenFor) },
    { title: t.whatItCouldHaveBeen, lines: insteadLines(records, could) },
    {
      title: t.whoWhenHowMuch,
      lines: [
        ...typedLine(t.who, typed.who),
        ...typedLine(t.when, typed.when),
        ...typedLine(t.howMuch, typed.amount),
        ...portions.flatMap((one) => eaten(pantry, one)),
        ...(taste
          ? [
              t.firstTasteAboutATeaspoon(
                taste.fields.eater ?? '',
                taste.fields.at ? momentWords(new Date(taste.fields.at)) : '',
              ),
            ]
          : []),
      ],
    },
    {
      title: t.whatIsFeltAndSince,
      lines: [
        ...typedLine(t.toldNow, typed.signs),
        ...portions.flatMap(({ fields: { signs = [] } }) =>
          signs.map((one) => `${momentWords(new Date(one.at))}: ${one.text}`),
        ),
        ...(taste?.fields.signs ?? []).map(
          (one) => `${momentWords(new Date(one.at))}: ${SIGN[one.sign]}${one.text ? `, ${one.text}` : ''}`,
        ),
      ],
    },
    { title: pantryText.howItWasMadeReady, lines: batches.flatMap((one) => prepared(pantry, one)) },
    ...records.map((record): SheetPart => ({
      title: ofFind(t.whereAndWhenItWas, record),
      lines: found(record, nameOf),
    })),
    ...records.map((record): SheetPart => ({
      title: ofFind(t.whatWasSeenOfIt, record),
      lines: seen(record, nameOf),
    })),
  ];
  return {
    title: t.forWhoeverTreats(momentWords(printedAt)),
    finds: records.map((one) => one.id),
    parts: parts.map((part) => (part.lines.length > 0 ? part : { ...part, lines: [t.notRecorded] })),
  };
}

function eaten(pantry: Pantry, portion: PortionPage): string[] {
  const { at, of = [], cooked } = portion.fields;
  const amounts = of.map(({ id, amount }) => {
    const made = pantry.batches.find((one) => one.id === id)?.fields.made;
    return amount ? amountWords(amount) : made ? t.allThatWasLeftOf(amountWords(made)) : t.nobodyWeighedIt;
  });
  return [
    `${at ? momentWords(new Date(at)) : ''}: ${portionWords(pantry, portion)}; ` +
      `${listed(amounts)}${cooked ? `; ${lowerFirst(cookedWords(cooked))}` : ''}`,
  ];
}

function prepared(pantry: Pantry, { fields }: BatchPage): string[] {
  const { name = pantryText.aBatch, method, on, cooked, steps = [], figures = {} } = fields;
  const done = stepsOf(fields, pantry).flatMap((step) => {
    const last = steps.findLast((one) => one.step === step.id);
    return last === undefined || step.code === 'label'
      ? []
      : [
          last.leftOut === undefined
            ? lowerFirst(stepWords(step)).replace(/\.$/, '')
            : t.stepLeftOutLoud(stepWords(step), last.leftOut),
        ];
  });
  return [
    [
      `${name}: ${method ? METHOD[method][1] : ''}${on ? `, ${isoDayName(on)}` : ''}`,
      cooked && lowerFirst(cookedWords(cooked)),
      figures.strength === undefined ? undefined : t.percentAlcohol(figures.strength),
    ]
      .filter(Boolean)
      .join('; '),
    ...(done.length > 0 ? [t.doneSteps(done.join('; '))] : []),
  ];
}

function found(record: FindRecord, nameOf: (person: string) => string): string[] {
  const position = edited(record, 'position').now;
  const at =
    position?.field === 'position' && position.value !== null && position.withheld !== true
      ? position.value
      : undefined;
  const decision = record.decisions.at(-1);
  const outcome = record.verdicts.at(-1)?.verdict.outcome;
  return [
    [
      momentWords(new Date(record.startedAt)),
      record.placeNote,
      at && `${at.decimalLatitude}, ${at.decimalLongitude}`,
      t.recordedByPerson(nameOf(record.person)),
    ]
      .filter(Boolean)
      .join('; '),
    t.verdict(
      outcome === undefined ? t.none : OUTCOME[outcome].toLowerCase(),
      decision
        ? (decision.choice === 'collect' && outcome !== 'collect' ? t.againstTheVerdict : t.decided)(
            CHOICE[decision.choice],
          )
        : t.notDecided,
    ),
  ];
}

function seen(record: FindRecord, nameOf: (person: string) => string): string[] {
  const gone = new Set(record.withdrawals.map(({ reading }) => reading));
  const several = new Set(record.readings.map(({ by }) => by)).size > 1;
  return record.readings
    .filter(({ id }) => !gone.has(id))
    .map(
      (reading) =>
        `${characterName(reading.character)}: ${readingWords(reading)} ` +
        `(${SURENESS[reading.sureness]}${several ? `, ${nameOf(reading.by)}` : ''})`,
    );
}

const ofFind = (title: string, { number }: FindRecord) =>
  number === undefined ? title : t.ofFind(title, number);
