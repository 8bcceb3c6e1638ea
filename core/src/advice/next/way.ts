import type { Case, Reading, ReadingValue } from '../../case';
import {
  typicalValue,
  type CharacterId,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type Damage,
  type StageId,
} from '../../guide';
import { looksAreDone } from '../../verdict';
import { plan, type Plan } from '../plan';
import { weighAndAsk } from '.';

/** A check as it will be asked. */
export interface AskedCheck {
  readonly character: CharacterId;
  readonly seconds: number;
  readonly damage: Damage;
  /** It was looked at before. */
  readonly again: boolean;
}

/** What is announced: the checks as they will be asked, or what is in the way. */
export type AskedPlan =
  | {
      readonly feasible: true;
      /**
       * These are the checks as they will be asked; else the cheapest that would do, where a typical specimen
       * does not get there.
       */
      readonly walked: boolean;
      readonly checks: readonly AskedCheck[];
      readonly seconds: number;
      readonly gear: readonly string[];
    }
  | Extract<Plan, { readonly feasible: false }>;

/** No honest way is longer. */
const MOST_STEPS = 40;
/**
 * The checks that will be asked from here on, one after the other, if each shows what is typical of the
 * target, and what they leave undone. What is announced is what will be asked, so it is walked, not planned:
 * the next checks weigh also what may go wrong, and are not the cheapest set that a plan proves.
 *
 * @returns what is in the way, where nothing can fill everything
 * @throws Error if the target is not in the guide
 */
export function planAsAsked(guide: CompiledGuide, find: Case): AskedPlan {
  const proved = plan(guide, find);
  if (!proved.feasible) return proved;
  const target = guide.taxon(find.target);
  if (!target) throw new Error(`target "${find.target}" is not in the guide`);
  const asked: AskedCheck[] = [];
  let readings: readonly Reading[] = find.readings;
  const seen = new Set<string>(
    readings.filter(({ value }) => value.kind !== 'cant-tell').map(({ character }) => character),
  );
  const piece = find.pieces.filter(({ purpose }) => purpose === 'decide').at(-1)?.id;
  for (let step = 0; step < MOST_STEPS && piece !== undefined; step += 1) {
    const { outcome, reasons, checks } = weighAndAsk(guide, { ...find, readings: [...readings] });
    const [next] = checks;
    const value =
      next && typicalOf(guide.character(next.character), target, find.context.stages ?? target.taxon.stages);
    const filled = outcome === 'collect' || looksAreDone({ outcome, reasons });
    if (filled) return summed(guide, asked);
    if (outcome !== 'pause' || !next || !value) break;
    asked.push({
      character: next.character,
      seconds: next.seconds,
      damage: next.damage,
      again: seen.has(next.character),
    });
    seen.add(next.character);
    readings = [
      ...readings,
      {
        id: `asked-${step}` as Reading['id'],
        piece,
        character: next.character,
        value,
        sureness: 'sure',
        by: 'nobody',
        at: `9999-12-31T23:59:${String(step + 10)}.000Z`,
      },
    ];
  }
  // The way on a typical specimen does not end here: the proved plan is used instead.
  return {
    feasible: true,
    walked: false,
    checks: proved.checks.map(({ character, seconds, damage }) => ({
      character,
      seconds,
      damage,
      again: seen.has(character),
    })),
    seconds: proved.seconds,
    gear: proved.gear,
  };
}

function summed(guide: CompiledGuide, checks: readonly AskedCheck[]): AskedPlan {
  const gear = new Set(checks.flatMap(({ character }) => guide.character(character)?.character.gear ?? []));
  return {
    feasible: true,
    walked: true,
    checks,
    seconds: checks.reduce((sum, { seconds }) => sum + seconds, 0),
    gear: [...gear].sort(),
  };
}

/** What a typical specimen of the target shows of a character; nothing where the guide does not say. */
function typicalOf(
  character: CompiledCharacter | undefined,
  target: CompiledTaxon,
  stages: readonly StageId[],
): ReadingValue | undefined {
  if (!character) return undefined;
  const stated = target.atStage.get(character.index);
  const known = stages.flatMap((stage) => (character.stages.has(stage) ? (stated?.get(stage) ?? []) : []))[0];
  return known && typicalValue(known, character);
}
