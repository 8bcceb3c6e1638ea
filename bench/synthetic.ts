import type { Case, CharacterId, Guide, StageId, StateId, TaxonId } from '@pause/core';
import { seeded } from '@pause/core/drawing';

/** Guides and finds of any size, made up from a seed, for measuring how the core grows. */

const STAGES = ['young', 'mature'] as unknown as StageId[];

/**
 * One kingdom, half of the taxa dangerous, statements on three characters of five. Taxon 0 is a wanted one.
 */
export function syntheticGuide(taxa: number, characters: number, seed: number): Guide {
  const next = seeded(seed);
  const int = (n: number) => Math.floor(next() * n);
  const made = Array.from({ length: characters }, (_, c): Guide['characters'][number] => ({
    id: `c${c}` as CharacterId,
    kingdom: 'Fungi',
    organ: 'cap',
    name: `c${c}`,
    question: `c${c}?`,
    how: 'look',
    group: `g${Math.floor(c / 2)}`,
    observe: 'look',
    seconds: 5 + int(60),
    damage: 'none',
    misread: 0.05 + next() * 0.1,
    ...(next() < 0.15 ? { restsOn: ['colour'] as const } : {}),
    kind: 'states',
    states: Array.from({ length: 3 + int(6) }, (_, s) => ({
      id: `s${s}` as StateId,
      label: `s${s}`,
      ...(s === 0 && next() < 0.3 ? { absent: true } : {}),
    })),
  }));
  const states = (c: number) => {
    const character = made[c];
    return character && 'states' in character ? character.states.map((s) => s.id) : [];
  };
  return {
    format: 'pause-guide/1',
    id: 'synthetic',
    title: 'synthetic',
    licence: 'CC0',
    about: 'made up',
    stages: STAGES.map((id) => ({ id, kingdom: 'Fungi', name: id })),
    bodyPlans: [{ id: 'any', kingdom: 'Fungi', name: 'any', hint: 'any' }],
    characters: made,
    taxa: Array.from({ length: taxa }, (_, t) => ({
      id: `t${t}` as TaxonId,
      scientificName: `T ${t}`,
      scientificNameAuthorship: 'x',
      family: 'Fungaceae',
      kingdom: 'Fungi',
      bodyPlan: 'any',
      vernacularNames: { en: [`t${t}`] },
      harm: {
        grade:
          t === 0 || t % 2 === 0
            ? 'none'
            : ((['deadly', 'serious', 'unpleasant'] as const)[t % 3] ?? 'deadly'),
      },
      stages: STAGES,
      parts: t === 0 ? [{ part: 'whole', name: 'whole', use: 'food', stages: STAGES, before: [] }] : [],
      lookalikes: t === 0 ? [1, 3, 5, 7].filter((x) => x < taxa).map((x) => `t${x}` as TaxonId) : [],
      signature: t === 0 ? (['c0', 'c2'] as CharacterId[]) : [],
      nearRelatives: [],
      cautions: [],
      protection: 'none',
      review: { reviewedBy: 'nobody' },
      statements: made.flatMap((c, i) => {
        if (t !== 0 && next() > 0.6) return [];
        const all = states(i);
        const usual = all.filter(() => next() < 0.3);
        return [{ character: c.id, usual: usual.length > 0 ? usual : [all[int(all.length)] ?? all[0]!] }];
      }),
    })) as unknown as Guide['taxa'],
  };
}

/** A find of taxon 0 with so many sure readings, each usual for it. */
export function syntheticFind(guide: Guide, readings: number, seed: number): Case {
  const next = seeded(seed);
  const at = (second: number) => new Date(Date.UTC(2026, 8, 14) + second * 1000).toISOString();
  const [target] = guide.taxa;
  if (!target) throw new Error('the guide has taxa');
  const order = target.statements
    .map((s) => ({ s, key: next() }))
    .sort((a, b) => a.key - b.key)
    .slice(0, readings);
  return {
    guide: { id: guide.id },
    kingdom: 'Fungi',
    target: target.id,
    pieces: [{ id: 'p1', startedAt: at(0), purpose: 'decide' }] as Case['pieces'],
    readings: order.map(({ s }, i) => ({
      id: `r${i}`,
      piece: 'p1',
      character: s.character,
      value: { kind: 'states', states: 'usual' in s ? [s.usual[0]] : [] },
      sureness: 'sure',
      by: 'bench',
      at: at(i + 1),
    })) as unknown as Case['readings'],
    context: {
      stages: [STAGES[0]!],
      condition: 'fresh',
      part: 'whole',
      use: 'food',
      permission: 'allowed',
      contamination: 'none-seen',
    },
  };
}
