import { GROUPS_NEEDED } from '@pause/core';
import { writePage } from './page';
import {
  type Row,
  WRONG_SHARES,
  keptIn,
  nameOf,
  all,
  intro,
  heading,
  mainTable,
  letThrough,
  wantedTable,
  wrongTable,
  worstPairs,
  NOT_YET,
  rate,
  percent,
  median,
} from './safetyReport';
import type { Temper } from './simulate/observer';
import { BASELINES, GROUPS_TRIED, GUIDE, run, together, type Came, type Job } from './simulate/rows';
import { WITHOUT } from './simulate/rules';

/**
 * How safe it is, in simulation: npm run bench:safety [share of the full number of specimens] [file].
 * Dangerous specimens are taken for a target that lists them; true ones are checked at a stage at which they
 * are worth having. The work is cut into shares and spread over the cores; the same shares give the same
 * figures on any number of them. What came of each share is kept in the file, if one is named, and a run that
 * was broken off goes on from there; with `kept` behind it, the report is made of what is there.
 */

const SHARE_SIZE = 5_000;

function shares(row: Row): Job[] {
  const jobs: Job[] = [];
  for (let left = row.specimens, seed = 20_260_914; left > 0; left -= SHARE_SIZE, seed += 1)
    jobs.push({ ...row, specimens: Math.min(left, SHARE_SIZE), seed });
  return jobs;
}

const MIDDLING: Temper = { misread: 0.08, repeat: 0.5, hopeful: false };
const HOPEFUL: Temper = { ...MIDDLING, hopeful: true };
const PLAIN_PAUSE = { way: 'Pause', rules: 'every rule' } as const;

/** Every table of the report, as the rows that it is made of. */
function tables(n: (specimens: number) => number) {
  const tempers: Temper[] = [0.03, 0.08, 0.2].flatMap((misread) =>
    [0.5, 0].flatMap((repeat) => [false, true].map((hopeful) => ({ misread, repeat, hopeful }))),
  );
  const main = (t: Temper) => t.misread === 0.08 && t.repeat === 0.5;
  return {
    pause: tempers.flatMap((temper): Row[] => [
      {
        ...PLAIN_PAUSE,
        temper,
        of: 'deadly',
        specimens: n(main(temper) ? (temper.hopeful ? 60_000 : 320_000) : temper.hopeful ? 3_000 : 6_000),
      },
      {
        ...PLAIN_PAUSE,
        temper,
        of: 'serious',
        specimens: n(main(temper) && !temper.hopeful ? 30_000 : 3_000),
      },
      { ...PLAIN_PAUSE, temper, of: 'true', specimens: n(main(temper) ? 20_000 : 1_500) },
    ]),
    others: Object.keys(BASELINES).flatMap((way) =>
      [MIDDLING, HOPEFUL].flatMap((temper) =>
        (['deadly', 'serious', 'true'] as const).map((of): Row => ({
          way: way as keyof typeof BASELINES,
          rules: 'every rule',
          temper,
          of,
          specimens: n(way.startsWith('prob') ? 500 : 1_500),
        })),
      ),
    ),
    wanted: GUIDE.wanted.flatMap(({ id }) =>
      [0, 0.08].map((misread): Row => ({
        ...PLAIN_PAUSE,
        temper: { ...MIDDLING, misread },
        of: 'true',
        drawnFrom: 'wanted',
        target: id,
        specimens: n(600),
      })),
    ),
    wrong: [
      ...GUIDE.readers.map((drawnFrom) => ({ drawnFrom })),
      ...WRONG_SHARES.map((wrong) => ({ wrong })),
    ].flatMap((how): Row[] => [
      {
        ...PLAIN_PAUSE,
        ...how,
        temper: MIDDLING,
        of: 'deadly',
        specimens: n('wrong' in how ? 5_000 : 20_000),
      },
      { ...PLAIN_PAUSE, ...how, temper: HOPEFUL, of: 'deadly', specimens: n(1_000) },
      { ...PLAIN_PAUSE, ...how, temper: MIDDLING, of: 'serious', specimens: n(2_500) },
    ]),
    off: WITHOUT.flatMap((rules) =>
      (
        [
          [MIDDLING, 'deadly', 1_000],
          [HOPEFUL, 'deadly', 700],
          [HOPEFUL, 'serious', 500],
          [MIDDLING, 'true', 700],
        ] as const
      ).map(([temper, of, specimens]): Row => ({
        way: 'Pause',
        rules: rules.name,
        temper,
        of,
        specimens: n(specimens),
      })),
    ),
    leftOut: GROUPS_TRIED.flatMap((groups) =>
      [MIDDLING, HOPEFUL].map((temper): Row => ({
        way: 'Pause',
        rules: `${groups} groups`,
        temper,
        of: 'left-out',
        specimens: n(temper.hopeful ? 1_000 : 2_000),
      })),
    ),
    paid: GROUPS_TRIED.map((groups): Row => ({
      way: 'Pause',
      rules: `${groups} groups`,
      temper: MIDDLING,
      of: 'true',
      specimens: n(700),
    })),
  };
}

async function report(scale: number, file: string | undefined, onlyKept: boolean): Promise<void> {
  const { pause, others, wanted, wrong, off, leftOut, paid } = tables((specimens) =>
    Math.max(100, Math.round(specimens * scale)),
  );
  const rows = [...wanted, ...wrong, ...leftOut, ...paid, ...off, ...pause, ...others];
  const jobs = rows.flatMap((row) => shares(row).map((job) => ({ row, job })));
  const kept = onlyKept ? keptIn(file) : undefined;
  const came: (Came | undefined)[] = kept
    ? jobs.map(({ job }) => kept.get(nameOf(job)))
    : await all(
        jobs.map(({ job }) => job),
        file,
        (count) => {
          process.stderr.write(`\r${count} of ${jobs.length} shares`);
        },
      );
  const of = (row: Row): Came =>
    together(came.filter((one, i): one is Came => one !== undefined && jobs[i]?.row === row));
  const text = [
    ...intro(),
    ...(came.includes(undefined)
      ? [
          '**This run was broken off:** rows that it did not come to are left out, and tables without rows ' +
            'are still to be made.',
          '',
        ]
      : []),
    ...heading(),
    ...mainTable(pause, others, of),
    ...letThrough(pause, of),
    ...wantedTable(wanted, of),
    ...wrongTable(wrong, pause, of),
    ...worstPairs(),
    ...offTable(off, of),
    ...leftOutTable(leftOut, paid, of),
  ]
    .filter((line) => !line.includes(`${NOT_YET} | ${NOT_YET} | ${NOT_YET}`))
    .join('\n');
  await writePage('safety', text);
  process.stdout.write(`\n${text}\n`);
}

function offTable(off: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## What each rule buys',
    '',
    'One rule switched off at a time, at 8 % misread and 0.5 repeats. What the others have to bear shows ' +
      'how they overlap: several lines of defence stand before each danger, and a line that shows little here is ' +
      'the one that holds where another fails.',
    '',
    '| without | deadly | deadly, hopeful | serious, hopeful | true | checks |',
    '|---|---|---|---|---|---|',
  ];
  for (let i = 0; i < off.length; i += 4) {
    const [deadly, hopefulDeadly, hopefulSerious, genuine] = off.slice(i, i + 4).map(of) as [
      Came,
      Came,
      Came,
      Came,
    ];
    lines.push(
      `| ${(off[i] as Row).rules} | ${rate(deadly)} | ${rate(hopefulDeadly)} | ${rate(hopefulSerious)} | ` +
        `${percent(genuine)} | ${median(genuine.checks)} |`,
    );
  }
  return lines;
}

function leftOutTable(leftOut: readonly Row[], paid: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## A relative that the guide does not know',
    '',
    'Each deadly or serious taxon in turn is taken out of the guide, and its specimens are checked as the ' +
      "target that used to list it. Nothing bars what nobody has thought of: what is left is the target's own " +
      'signature, and the number of groups that must fit. Share of such specimens that reach *collect*, against ' +
      'that number, and what it costs true finds.',
    '',
    '| groups that must fit | collect | collect, hopeful | true | checks |',
    '|---|---|---|---|---|',
  ];
  for (const [i, groups] of GROUPS_TRIED.entries()) {
    const [plain, hoping] = leftOut.slice(i * 2, i * 2 + 2).map(of) as [Came, Came];
    const genuine = of(paid[i] as Row);
    lines.push(
      `| ${groups} | ${percent(plain, 2)} | ${percent(hoping, 2)} | ${percent(genuine)} | ${median(genuine.checks)} |`,
    );
  }
  lines.push(
    '',
    `${GROUPS_NEEDED} is what the model asks. A guide may ask for more of a target, and two of this one do; ` +
      `so may a group. A relative that nobody thought of is stopped for the most part by the rule that what ` +
      `contradicts the target is looked at again, and left if it stays; the number of groups is what remains when ` +
      `somebody sees what they want to see.`,
  );
  return lines;
}

if (process.send) {
  process.on('message', (job: Job) => {
    process.send?.(run(job));
  });
} else await report(Number(process.argv[2] ?? 1), process.argv[3], process.argv[4] === 'kept');
