import fc from 'fast-check';
import { shippedGuide } from '@pause/guide';
import {
  compileGuide,
  isCollectable,
  nextChecks,
  type Case,
  type CompiledCharacter,
  type CompiledGuide,
  type CompiledTaxon,
  type StageId,
} from '../src';
import { parseCase } from '../src/case/parse';

/** Cases for tests, built from the guide that ships. */

// The same cases every time, so that a run that passed passes again; PAUSE_SEED and PAUSE_RUNS look further.
fc.configureGlobal({
  seed: Number(process.env.PAUSE_SEED ?? 20260914),
  ...(process.env.PAUSE_RUNS ? { numRuns: Number(process.env.PAUSE_RUNS) } : {}),
});

export const guide: CompiledGuide = compileGuide(shippedGuide());

export function taxon(id: string): CompiledTaxon {
  const found = guide.taxon(id);
  if (!found) throw new Error(`no taxon ${id}`);
  return found;
}

export function character(id: string): CompiledCharacter {
  const found = guide.character(id);
  if (!found) throw new Error(`no character ${id}`);
  return found;
}

export const targets = guide.taxa.filter((t) => t.taxon.parts.length > 0);
/** Targets that can be collected at all: those with a near-double never are. */
export const collectable = guide.taxa.filter(isCollectable);
export const dangers = guide.taxa.filter((t) => t.grade !== 'none');

/** An instant, `minute` minutes into the morning of the find. */
export function at(minute: number): string {
  return new Date(Date.UTC(2026, 8, 14, 8, minute)).toISOString();
}

let counter = 0;
/** A raw reading; states by name, or a whole value. */
export function reading(
  characterId: string,
  value: string | readonly string[] | object,
  more: { sureness?: string; piece?: string; minute?: number; id?: string; by?: string } = {},
) {
  counter += 1;
  return {
    id: more.id ?? `r${counter}`,
    piece: more.piece ?? 'p1',
    character: characterId,
    value:
      typeof value === 'string'
        ? { kind: 'states', states: [value] }
        : Array.isArray(value)
          ? { kind: 'states', states: value }
          : value,
    sureness: more.sureness ?? 'sure',
    by: more.by ?? 'ilse',
    at: at(more.minute ?? counter),
  };
}

/**
 * Everything around a find of this target that allows collecting, at a stage at which a part is worth having.
 */
export function goodContext(target: CompiledTaxon, stage?: StageId) {
  const part =
    target.taxon.parts.find((p) => stage === undefined || p.stages.includes(stage)) ?? target.taxon.parts[0];
  return {
    stages: stage !== undefined ? [stage] : part ? [part.stages.at(-1)] : undefined,
    condition: 'fresh',
    part: part?.part,
    use: part?.use,
    permission: 'allowed',
    contamination: 'none-seen',
    ...(target.taxon.protection === 'often' ? { protection: 'allowed' } : {}),
    ...(target.taxon.growsMixed ? { tracedToBase: true } : {}),
    ...(target.taxon.kingdom === 'Plantae' ? { mayDig: true, patchSize: 'tens', patchThrives: true } : {}),
  };
}

type RawReading = ReturnType<typeof reading>;
/** A parsed case of one piece. */
export function find(
  targetId: string,
  readings: readonly RawReading[],
  more: Record<string, unknown> = {},
): Case {
  const target = taxon(targetId);
  return parseCase(
    {
      guide: { id: 'ostrel' },
      kingdom: target.taxon.kingdom,
      target: targetId,
      pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }],
      readings,
      context: goodContext(target),
      ...more,
    },
    guide,
  );
}

/**
 * What a typical specimen of a taxon shows of a character at a stage, as a raw reading value; undefined if
 * nothing is stated.
 */
export function usualValue(
  t: CompiledTaxon,
  c: CompiledCharacter,
  stage: StageId,
): string | object | undefined {
  if (!c.stages.has(stage)) return undefined;
  const known = t.atStage.get(c.index)?.get(stage);
  if (!known) return undefined;
  if (known.kind === 'states') return [...c.stateBit].find(([, bit]) => (known.typical & bit) !== 0)?.[0];
  const middle = (known.usual[0] + known.usual[1]) / 2;
  return c.character.kind === 'count'
    ? { kind: 'count', number: Math.round(middle) }
    : { kind: 'measure', number: middle, unit: 'mm' };
}

/** A sure reading of every character that can be seen, each as is usual for the target. */
export function allUsual(targetId: string): RawReading[] {
  const target = taxon(targetId);
  const stage = target.taxon.parts[0]?.stages.at(-1);
  if (!stage) throw new Error(`${targetId} has no part worth having`);
  return guide.characters.flatMap((c) => {
    const value = usualValue(target, c, stage);
    return value === undefined ? [] : [reading(c.id, value)];
  });
}

/** The same readings, each made a second time later on. */
export function lookedAtTwice(readings: readonly RawReading[]): RawReading[] {
  return [
    ...readings,
    ...readings.map((r) => ({
      ...r,
      id: `${r.id}-again`,
      at: new Date(Date.parse(r.at) + 1000).toISOString(),
    })),
  ];
}

/** Answers what is proposed, as a true specimen would, until nothing more is. */
export function followChecks(targetId: string, limit = 40): Case {
  const target = taxon(targetId);
  const stage = target.taxon.parts[0]?.stages.at(-1);
  const readings: RawReading[] = [];
  for (let step = 0; step < limit; step += 1) {
    const now = find(targetId, readings);
    const next = nextChecks(guide, now)[0];
    const value = next && stage ? usualValue(target, character(next.character), stage) : undefined;
    if (!next || value === undefined) break;
    readings.push(reading(next.character, value));
  }
  return find(targetId, readings);
}
