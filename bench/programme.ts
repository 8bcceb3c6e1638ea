import { CAUSE_BIT, type PlanProblem } from '@pause/core';

/**
 * A plan as a mixed-integer programme in CPLEX LP format, for an independent solver: x choose a check, y use
 * it (or s what stands) as a ground against a row, z count a group that fits.
 */
export function asProgramme(p: PlanProblem): string {
  const constraints: string[] = [];
  const binaries = p.options.map((_, i) => `x${i}`);
  const add = (terms: string[], relation: string) => {
    if (terms.length > 0) constraints.push(`${terms.join(' + ')} ${relation}`.replace(/\+ -/g, '- '));
  };
  p.rows.forEach((row, r) => {
    const grounds = [
      ...row.grounds.map((g, s) => ({ ...g, name: `s${r}_${s}`, option: -1 })),
      ...p.options.flatMap((o, i) =>
        row.against[i] === 1 ? [{ group: o.group, causes: o.causes, name: `y${r}_${i}`, option: i }] : [],
      ),
    ].filter((g) => !row.spoiled.has(g.group));
    binaries.push(...grounds.map((g) => g.name));
    for (const ground of grounds) {
      if (ground.option >= 0) constraints.push(`${ground.name} - x${ground.option} <= 0`);
      p.options.forEach((o, i) => {
        if (row.fits[i] === 1 && o.group === ground.group) constraints.push(`${ground.name} + x${i} <= 1`);
      });
    }
    for (const group of new Set(grounds.map((g) => g.group)))
      add(
        grounds.filter((g) => g.group === group).map((g) => g.name),
        '<= 1',
      );
    for (const bit of Object.values(CAUSE_BIT))
      add(
        grounds.filter((g) => (g.causes & bit) !== 0).map((g) => g.name),
        '<= 1',
      );
    if (grounds.length === 0) constraints.push(`0 x0 >= ${row.need}`);
    add(
      grounds.map((g) => g.name),
      `>= ${row.need}`,
    );
  });
  const groups = [...new Set(p.options.map((o) => o.group))].filter((g) => !p.fitGroups.has(g));
  for (const group of groups) {
    binaries.push(`z${group}`);
    constraints.push(
      `z${group} ${p.options.flatMap((o, i) => (o.group === group ? [`- x${i}`] : [])).join(' ')} <= 0`,
    );
  }
  const missing = p.groupsNeeded - p.fitGroups.size;
  if (missing > 0) constraints.push(`${groups.map((g) => `z${g}`).join(' + ') || '0 x0'} >= ${missing}`);
  for (const i of p.forced) constraints.push(`x${i} = 1`);
  return (
    `Minimize\n obj: ${p.options.map((o, i) => `${o.cost} x${i}`).join(' + ')}\n` +
    `Subject To\n${constraints.map((c, i) => ` c${i}: ${c}`).join('\n')}\nBinary\n ${binaries.join(' ')}\nEnd`
  );
}
