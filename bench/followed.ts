import { nextChecks, type Case, type CompiledGuide, type CompiledTaxon } from '@pause/core';

/** A find of a target on which somebody followed the next checks nine times and saw what is usual. */
export function followed(guide: CompiledGuide, target: CompiledTaxon): Case {
  const [part] = target.taxon.parts;
  const [stage] = part?.stages ?? target.taxon.stages;
  let find = {
    guide: { id: guide.guide.id },
    kingdom: target.taxon.kingdom,
    target: target.id,
    pieces: [{ id: 'p', startedAt: '2026-09-14T08:00:00.000Z', purpose: 'decide' }],
    readings: [],
    context: {
      stages: [stage],
      condition: 'fresh',
      part: part?.part,
      use: part?.use,
      permission: 'allowed',
      contamination: 'none-seen',
      protection: 'allowed',
      tracedToBase: true,
    },
  } as unknown as Case;
  for (let i = 0; i < 9; i += 1) {
    const [check] = nextChecks(guide, find);
    const character = check && guide.character(check.character);
    const known = character && stage && target.atStage.get(character.index)?.get(stage);
    if (!character || !known) break;
    const middle = known.kind === 'number' ? (known.usual[0] + known.usual[1]) / 2 : 0;
    const value =
      known.kind === 'states'
        ? {
            kind: 'states',
            states: [...character.stateBit]
              .filter(([, bit]) => (bit & known.usual) !== 0)
              .slice(0, 1)
              .map(([state]) => state),
          }
        : character.character.kind === 'count'
          ? { kind: 'count', number: Math.round(middle) }
          : { kind: 'measure', number: middle, unit: 'mm' };
    find = {
      ...find,
      readings: [
        ...find.readings,
        {
          id: `r${i}`,
          piece: 'p',
          character: character.id,
          value,
          sureness: 'sure',
          by: 'bench',
          at: `2026-09-14T08:0${i}:30.000Z`,
        },
      ],
    } as unknown as Case;
  }
  return find;
}
