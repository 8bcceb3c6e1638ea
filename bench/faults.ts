import { parseArgs } from 'node:util';
import { ATTACKS, ATTACK_WORDS } from './faults/hostile';
import { runFaults, type FaultReport } from './faults/run';
import { writePage } from './page';

/**
 * Nothing lost: devices, server and database under faults. Writes docs/reliability.md; with a seed of one's
 * own it only says what happened.
 */

const { values } = parseArgs({
  options: {
    seed: { type: 'string' },
    devices: { type: 'string', default: '6' },
    readings: { type: 'string', default: '10000' },
    faults: { type: 'string', default: '200' },
    hostile: { type: 'string', default: '2' },
  },
});

const whole = (name: 'seed' | 'devices' | 'readings' | 'faults' | 'hostile', text: string) => {
  const number = Number(text);
  if (!Number.isInteger(number) || number < 1)
    throw new Error(`--${name}: "${text}" is not a whole number from 1 on`);
  return number;
};

const size = {
  devices: whole('devices', values.devices),
  readings: whole('readings', values.readings),
  faults: whole('faults', values.faults),
  hostile: whole('hostile', values.hostile),
};

const seeds = values.seed === undefined ? [1, 2, 3] : [whole('seed', values.seed)];

const LABELS: Readonly<Record<string, string>> = {
  refused: 'no connection at all',
  'cut-request': 'connection cut in the middle of a request',
  'answer-lost': 'answer lost after the server had stored it',
  twice: 'delivered twice at once',
  'late-again': 'delivered again after later things',
  offline: 'offline for a while',
  'tab-killed': 'tab killed in the middle of what it did',
  clock: 'clock off by up to a day and a half',
  'server-killed': 'server killed (SIGKILL)',
  'database-killed': 'database stopped at once (immediate)',
};

const reports: FaultReport[] = [];
for (const seed of seeds) {
  process.stdout.write(
    `seed ${seed}: ${size.devices} devices, ${size.hostile} of them hostile, ${size.readings} readings, ` +
      `${size.faults} faults\n`,
  );
  const report = await runFaults({ seed, ...size }, (line) => process.stdout.write(`  ${line}\n`));
  reports.push(report);
  process.stdout.write(
    `  ${report.acknowledged} acknowledged, ${report.lost.length} lost, ${report.doubled.length} twice, ` +
      `${report.unequal.length} unequal, ${report.gaps} gaps, ${report.seconds} s\n`,
  );
  for (const line of [...report.lost, ...report.doubled, ...report.unequal, ...report.refused].slice(0, 20))
    process.stdout.write(`    ${line}\n`);
}

const bad = reports.some((r) => r.lost.length + r.doubled.length + r.unequal.length + r.gaps > 0);

if (values.seed === undefined) {
  const kinds = Object.keys(LABELS);
  await writePage(
    'reliability',
    `# Nothing lost

Measured on ${new Date().toISOString().slice(0, 10)} by \`npm run bench:faults\`. Any run can be repeated
alone: \`npm run bench:faults -- --seed 2\`.

Each run has ${size.devices} members of one group. ${size.hostile} of them mean harm; every other device is
the application's own store and its own notebook in IndexedDB (in memory, fake-indexeddb), talking HTTP to a real server
process in front of a real PostgreSQL. ${size.readings} readings are made on finds that all of them know,
with notes and growth conditions that several write over, while ${size.faults}
faults are made to happen at places that the seed decides, and the hostile ones send what no application
would. At the end the connection comes back for all, everybody tells one reading more, and:

- every reading that the application said was kept is at the server, exactly once;
- the group's entries are numbered without gaps;
- every device holds the same notebook as the server, to the byte.

| seed | readings acknowledged | lost | twice | finds that differ | gaps | entries at the server | refused | seconds |
|---|---|---|---|---|---|---|---|---|
${reports
  .map(
    (r) =>
      `| ${r.seed} | ${r.acknowledged} | ${r.lost.length} | ${r.doubled.length} | ` +
      `${r.unequal.length} | ${r.gaps} | ${r.entries} | ${r.refused.length} | ${r.seconds} |`,
  )
  .join('\n')}

Fewer are acknowledged than planned: a reading of a find that the device has not heard of yet is not made, and
one during which the tab was killed was never said to be kept (it may be
at the server all the same).

| fault | ${reports.map((r) => `seed ${r.seed}`).join(' | ')} |
|---|${reports.map(() => '---').join('|')}|
${kinds
  .map((kind) => `| ${LABELS[kind] ?? kind} | ${reports.map((r) => r.happened[kind] ?? 0).join(' | ')} |`)
  .join('\n')}

| attack | ${reports.map((r) => `seed ${r.seed}`).join(' | ')} |
|---|${reports.map(() => '---').join('|')}|
${ATTACKS.map(
  (attack) => `| ${ATTACK_WORDS[attack]} | ${reports.map((r) => r.attacked[attack] ?? 0).join(' | ')} |`,
).join('\n')}

A short run is among the tests, and so is one with a device that keeps nothing of what it receives, to see
that it would be noticed.

What was found by it and mended: a connection to the database that broke while a query was under way ended
the server; it is now only that request's fault.
`,
  );
}
process.exit(bad ? 1 : 0);
