import { fork, type ChildProcess } from 'node:child_process';
import { appendFileSync, existsSync, readFileSync, writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { GROUPS_NEEDED } from '@pause/core';
import type { Temper } from './simulate/observer';
import { BASELINES, GROUPS_TRIED, GUIDE, run, together, type Came, type Job } from './simulate/rows';
import { WITHOUT } from './simulate/rules';
import { worstOfPairs } from './simulate/worst';

/**
 * How safe it is, in simulation: npm run bench:safety [share of the full number of specimens] [file].
 * Dangerous specimens are taken for a target that lists them; true ones are checked at a stage at which they
 * are worth having. The work is cut into shares and spread over the cores; the same shares give the same
 * figures on any number of them. What came of each share is kept in the file, if one is named, and a run that
 * was broken off goes on from there; with `kept` behind it, the report is made of what is there.
 */

const SHARE_SIZE = 5_000;

/** Runs every job, on as many processes as there are cores. */
async function all(
  jobs: readonly Job[],
  file: string | undefined,
  done: (count: number) => void,
): Promise<Came[]> {
  const kept = keptIn(file);
  const came: (Came | undefined)[] = jobs.map((job) => kept.get(nameOf(job)));
  let next = 0;
  let finished = came.filter((one) => one !== undefined).length;
  const work = (child: ChildProcess) =>
    new Promise<void>((resolve, reject) => {
      let mine = -1;
      const take = () => {
        while (next < jobs.length && came[next] !== undefined) next += 1;
        if (next >= jobs.length) {
          child.disconnect();
          resolve();
          return;
        }
        mine = next;
        next += 1;
        child.send(jobs[mine] as Job);
      };
      child.on('message', (result) => {
        came[mine] = result as Came;
        if (file !== undefined)
          appendFileSync(file, `${JSON.stringify([nameOf(jobs[mine] as Job), result])}\n`);
        finished += 1;
        done(finished);
        take();
      });
      child.on('error', reject);
      child.on('exit', (code) => {
        if (code) reject(new Error(`a share ended with ${code}`));
      });
      take();
    });
  const program = fileURLToPath(import.meta.url);
  await Promise.all(Array.from({ length: availableParallelism() }, () => work(fork(program))));
  return came.flatMap((one) => one ?? []);
}

const nameOf = (job: Job) => `${GUIDE.version} ${JSON.stringify(job)}`;

/** What an earlier run wrote down, by the name of the share. */
function keptIn(file: string | undefined): ReadonlyMap<string, Came> {
  const lines =
    file !== undefined && existsSync(file)
      ? readFileSync(file, 'utf8')
          .split('\n')
          .filter((line) => line !== '')
      : [];
  return new Map(lines.map((line) => JSON.parse(line) as [string, Came]));
}

type Row = Omit<Job, 'seed'>;

function shares(row: Row): Job[] {
  const jobs: Job[] = [];
  for (let left = row.specimens, seed = 20_260_914; left > 0; left -= SHARE_SIZE, seed += 1)
    jobs.push({ ...row, specimens: Math.min(left, SHARE_SIZE), seed });
  return jobs;
}

const MIDDLING: Temper = { misread: 0.08, repeat: 0.5, hopeful: false };
const HOPEFUL: Temper = { ...MIDDLING, hopeful: true };
const PLAIN_PAUSE = { way: 'Pause', rules: 'every rule' } as const;
const WRONG_SHARES = [0.03, 0.1];

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
          '**This run was broken off:** rows that it did not come to are left out, and tables without rows are still to be made.',
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
  writeFileSync('docs/safety.md', `${text}\n`);
  process.stdout.write(`\n${text}\n`);
}

/** Of rows that a run that was broken off has not come to. */
const NOT_YET = 'not yet';
const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const share = (part: number, { specimens }: Came, digits: number) =>
  specimens === 0 ? NOT_YET : `${((part / specimens) * 100).toFixed(digits)} %`;
const percent = (c: Came, digits = 1) => share(c.collected, c, digits);
/** Per 100,000; where none was seen, the rate that would show one in twenty such runs none (3 in n). */
function rate(c: Came): string {
  if (c.specimens === 0) return NOT_YET;
  const per = (k: number) => (k / c.specimens) * 100_000;
  return c.collected > 0
    ? per(c.collected).toFixed(per(c.collected) < 10 ? 2 : 0)
    : `0 (under ${per(3).toFixed(per(3) < 10 ? 1 : 0)})`;
}

function intro(): string[] {
  return [
    '# Safety, in simulation',
    '',
    `\`npm run bench:safety\`, guide \`${GUIDE.version.slice(0, 12)}\` of ${GUIDE.taxa} taxa. About an hour and a half on two slow cores; \`npm run bench:safety 0.02\` gives a first idea.`,
    '',
    "Specimens vary one by one within the guide's statements, one in ten in what is only occasional; where the guide says nothing, they show anything. Observers go wrong by whole causes: a group, all colours, all smells, all numbers, all absences, each with the chance in the column *misread*. A second look at the same thing repeats the first mistake with the chance in *repeats*; who has seen through a mistake does not make it again. The *hopeful* misread twice as often, nine times of ten towards what they want it to be, pass over half of the checks whose answer they dislike, and start again on up to two more pieces. They follow Pause's next checks and look again where it asks to. Where a root helps, one may be dug up.",
    '',
    'What this does not show: a mistake that the guide and every reading of it share, or a person who does not look at all.',
    '',
  ];
}

function heading(): string[] {
  return [
    '## False collect, and true ones that get there',
    '',
    'False *collect* per 100,000 dangerous specimens, each taken for a target that lists it as a lookalike. *True* is the share of specimens of the target, at a stage at which its part is worth having, that reach *collect*; checks and seconds are medians of those.',
    '',
    '| way | misread | repeats | hopeful | deadly | serious | true | checks | seconds | deadly specimens |',
    '|---|---|---|---|---|---|---|---|---|---|',
  ];
}

function mainTable(pause: readonly Row[], others: readonly Row[], of: (row: Row) => Came): string[] {
  const lines: string[] = [];
  const rows = [...pause, ...others];
  for (let i = 0; i < rows.length; i += 3) {
    const [deadly, serious, genuine] = rows.slice(i, i + 3).map(of) as [Came, Came, Came];
    const { way, temper } = rows[i] as Row;
    lines.push(
      `| ${way} | ${temper.misread * 100} % | ${temper.repeat} | ${temper.hopeful ? 'yes' : 'no'} | ${rate(deadly)} | ${rate(serious)} | ${percent(genuine)} | ${median(genuine.checks)} | ${median(genuine.seconds)} | ${deadly.specimens.toLocaleString('en')} |`,
    );
  }
  return lines;
}

function letThrough(pause: readonly Row[], of: (row: Row) => Came): string[] {
  const pairs = together(pause.filter((row) => row.of !== 'true').map(of)).pairs;
  const worst = Object.entries(pairs)
    .sort(([, a], [, b]) => b - a)
    .slice(0, 8);
  return [
    '',
    `What Pause let through most, over all these rows: ${worst.map(([pair, n]) => `*${pair.replace(' > ', '* for *')}* (${n})`).join(', ') || 'nothing'}.`,
  ];
}

function wantedTable(wanted: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## True finds as somebody else describes them',
    '',
    'Specimens drawn from a reading of the wanted taxa that did not see the guide: nine times of ten what it calls usual, else what it calls occasional. Share that reaches *collect* when nothing is misread, and at 8 % misread and 0.5 repeats; checks are the median at 8 %.',
    '',
    '| target | nothing misread | 8 % misread | checks | left at 8 % |',
    '|---|---|---|---|---|',
  ];
  const all: [Came, Came][] = [];
  for (const [i, { name }] of GUIDE.wanted.entries()) {
    const [flawless, misread] = wanted.slice(i * 2, i * 2 + 2).map(of) as [Came, Came];
    all.push([flawless, misread]);
    lines.push(
      `| *${name}* | ${percent(flawless)} | ${percent(misread)} | ${median(misread.checks)} | ${share(misread.left, misread, 1)} |`,
    );
  }
  const [flawless, misread] = [together(all.map(([one]) => one)), together(all.map(([, one]) => one))];
  lines.push(
    `| all | ${percent(flawless)} | ${percent(misread)} | ${median(misread.checks)} | ${share(misread.left, misread, 1)} |`,
  );
  return lines;
}

function wrongTable(wrong: readonly Row[], pause: readonly Row[], of: (row: Row) => Came): string[] {
  const main = (hopeful: boolean, grade: Job['of']) =>
    pause.find(
      (row) =>
        row.of === grade &&
        row.temper.misread === 0.08 &&
        row.temper.repeat === 0.5 &&
        row.temper.hopeful === hopeful,
    ) as Row;
  const names = [
    'the guide itself',
    ...GUIDE.readers.map((reader) => `the reading *${reader}*`),
    ...WRONG_SHARES.map((share) => `a guide of which ${share * 100} % is wrong`),
  ];
  const rows = [main(false, 'deadly'), main(true, 'deadly'), main(false, 'serious'), ...wrong];
  const lines = [
    '',
    '## A guide that is wrong',
    '',
    'Dangerous specimens drawn from each account of them that did not see the guide, instead of from the guide: every state that it says can be seen, as often as any other; what it does not speak of, as the guide has it. And specimens that the guide is wrong about: of each of its statements on the danger, with this chance, the specimen shows instead what is usual for the target; every specimen meets other mistakes. False *collect* per 100,000, at 8 % misread and 0.5 repeats.',
    '',
    '| drawn from | deadly | deadly, hopeful | serious | deadly specimens |',
    '|---|---|---|---|---|',
  ];
  for (const [i, name] of names.entries()) {
    const [deadly, hopeful, serious] = rows.slice(i * 3, i * 3 + 3).map(of) as [Came, Came, Came];
    lines.push(
      `| ${name} | ${rate(deadly)} | ${rate(hopeful)} | ${rate(serious)} | ${deadly.specimens.toLocaleString('en')} |`,
    );
  }
  const readers = together(
    wrong.filter((row) => row.of === 'deadly' && row.drawnFrom !== undefined && !row.temper.hopeful).map(of),
  );
  lines.push(
    '',
    `All three readings together: ${rate(readers)} deadly in 100,000, of ${readers.specimens.toLocaleString('en')}.`,
  );
  return lines;
}

function worstPairs(): string[] {
  const { pairs, worst } = worstOfPairs();
  const lines = [
    '',
    `Worst case, counted: of ${pairs} listed pairs of a collectable target and a deadly or serious lookalike, ${worst.length === 0 ? 'none has a' : `${worst.length} ${worst.length === 1 ? 'has' : 'have'} a`} true reading of the lookalike that the guide takes for a ground against it. A deadly one needs three such grounds that share no cause, a serious one two.`,
  ];
  if (worst.length > 0)
    lines.push(
      '',
      '| target | lookalike | grounds | of | why the guide does not follow the reading |',
      '|---|---|---|---|---|',
    );
  for (const { target, danger, bars, characters, why } of worst)
    lines.push(`| *${target}* | *${danger}* | ${bars} | ${characters.join(', ')} | ${why.join(' ')} |`);
  return lines;
}

function offTable(off: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## What each rule buys',
    '',
    'One rule switched off at a time, at 8 % misread and 0.5 repeats. What the others have to bear shows how they overlap: several lines of defence stand before each danger, and a line that shows little here is the one that holds where another fails.',
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
      `| ${(off[i] as Row).rules} | ${rate(deadly)} | ${rate(hopefulDeadly)} | ${rate(hopefulSerious)} | ${percent(genuine)} | ${median(genuine.checks)} |`,
    );
  }
  return lines;
}

function leftOutTable(leftOut: readonly Row[], paid: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## A relative that the guide does not know',
    '',
    "Each deadly or serious taxon in turn is taken out of the guide, and its specimens are checked as the target that used to list it. Nothing bars what nobody has thought of: what is left is the target's own signature, and the number of groups that must fit. Share of such specimens that reach *collect*, against that number, and what it costs true finds.",
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
    `${GROUPS_NEEDED} is what the model asks. A guide may ask for more of a target, and two of this one do; so may a group. A relative that nobody thought of is stopped for the most part by the rule that what contradicts the target is looked at again, and left if it stays; the number of groups is what remains when somebody sees what they want to see.`,
  );
  return lines;
}

if (process.send) {
  process.on('message', (job: Job) => {
    process.send?.(run(job));
  });
} else await report(Number(process.argv[2] ?? 1), process.argv[3], process.argv[4] === 'kept');
