import { fork, type ChildProcess } from 'node:child_process';
import { appendFileSync, existsSync, readFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import { GUIDE, together, type Came, type Job } from './simulate/rows';
import { worstOfPairs } from './simulate/worst';

/** Runs every job, on as many processes as there are cores. */
export async function all(
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
        reject(new Error(`a worker ended with ${code} before its share was done`));
      });
      take();
    });
  const program = fileURLToPath(new URL('safety.ts', import.meta.url));
  await Promise.all(Array.from({ length: availableParallelism() }, () => work(fork(program))));
  return came.flatMap((one) => one ?? []);
}

export const nameOf = (job: Job) => `${GUIDE.version} ${JSON.stringify(job)}`;

/** What an earlier run wrote down, by the name of the share. */
export function keptIn(file: string | undefined): ReadonlyMap<string, Came> {
  const lines =
    file !== undefined && existsSync(file)
      ? readFileSync(file, 'utf8')
          .split('\n')
          .filter((line) => line !== '')
      : [];
  return new Map(lines.map((line) => JSON.parse(line) as [string, Came]));
}

export type Row = Omit<Job, 'seed'>;
export const WRONG_SHARES = [0.03, 0.1];

/** Of rows that a run that was broken off has not come to. */
export const NOT_YET = 'not yet';
export const median = (values: readonly number[]) =>
  [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const share = (part: number, { specimens }: Came, digits: number) =>
  specimens === 0 ? NOT_YET : `${((part / specimens) * 100).toFixed(digits)} %`;
export const percent = (c: Came, digits = 1) => share(c.collected, c, digits);
/** Per 100,000; where none was seen, the rate that would show one in twenty such runs none (3 in n). */
export function rate(c: Came): string {
  if (c.specimens === 0) return NOT_YET;
  const per = (k: number) => (k / c.specimens) * 100_000;
  return c.collected > 0
    ? per(c.collected).toFixed(per(c.collected) < 10 ? 2 : 0)
    : `0 (under ${per(3).toFixed(per(3) < 10 ? 1 : 0)})`;
}

export function intro(): string[] {
  return [
    '# Safety, in simulation',
    '',
    `\`npm run bench:safety\`, guide \`${GUIDE.version.slice(0, 12)}\` of ${GUIDE.taxa} taxa. About an hour ` +
      `and a half on two slow cores; \`npm run bench:safety 0.02\` gives a first idea.`,
    '',
    "Specimens vary one by one within the guide's statements, one in ten in what is only occasional; where " +
      'the guide says nothing, they show anything. Observers go wrong by whole causes: a group, all colours, all ' +
      'smells, all numbers, all absences, each with the chance in the column *misread*. A second look at the same ' +
      'thing repeats the first mistake with the chance in *repeats*; who has seen through a mistake does not make ' +
      'it again. The *hopeful* misread twice as often, nine times of ten towards what they want it to be, pass ' +
      'over half of the checks whose answer they dislike, and start again on up to two more pieces. They follow ' +
      "Pause's next checks and look again where it asks to. Where a root helps, one may be dug up.",
    '',
    'What this does not show: a mistake that the guide and every reading of it share, or a person who does ' +
      'not look at all.',
    '',
  ];
}

export function heading(): string[] {
  return [
    '## False collect, and true ones that get there',
    '',
    'False *collect* per 100,000 dangerous specimens, each taken for a target that lists it as a lookalike. ' +
      '*True* is the share of specimens of the target, at a stage at which its part is worth having, that reach ' +
      '*collect*; checks and seconds are medians of those.',
    '',
    '| way | misread | repeats | hopeful | deadly | serious | true | checks | seconds | deadly specimens |',
    '|---|---|---|---|---|---|---|---|---|---|',
  ];
}

export function mainTable(pause: readonly Row[], others: readonly Row[], of: (row: Row) => Came): string[] {
  const lines: string[] = [];
  const rows = [...pause, ...others];
  for (let i = 0; i < rows.length; i += 3) {
    const [deadly, serious, genuine] = rows.slice(i, i + 3).map(of) as [Came, Came, Came];
    const { way, temper } = rows[i] as Row;
    lines.push(
      `| ${way} | ${temper.misread * 100} % | ${temper.repeat} | ${temper.hopeful ? 'yes' : 'no'} | ` +
        `${rate(deadly)} | ${rate(serious)} | ${percent(genuine)} | ${median(genuine.checks)} | ` +
        `${median(genuine.seconds)} | ${deadly.specimens.toLocaleString('en')} |`,
    );
  }
  return lines;
}

export function letThrough(pause: readonly Row[], of: (row: Row) => Came): string[] {
  const pairs = together(pause.filter((row) => row.of !== 'true').map(of)).pairs;
  const worst = Object.entries(pairs)
    .sort(([, a], [, b]) => b - a)
    .slice(0, 8);
  return [
    '',
    `What Pause let through most, over all these rows: ` +
      `${worst.map(([pair, n]) => `*${pair.replace(' > ', '* for *')}* (${n})`).join(', ') || 'nothing'}.`,
  ];
}

export function wantedTable(wanted: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '',
    '## True finds as somebody else describes them',
    '',
    'Specimens drawn from a reading of the wanted taxa that did not see the guide: nine times of ten what ' +
      'it calls usual, else what it calls occasional. Share that reaches *collect* when nothing is misread, and ' +
      'at 8 % misread and 0.5 repeats; checks are the median at 8 %.',
    '',
    '| target | nothing misread | 8 % misread | checks | left at 8 % |',
    '|---|---|---|---|---|',
  ];
  const all: [Came, Came][] = [];
  for (const [i, { name }] of GUIDE.wanted.entries()) {
    const [flawless, misread] = wanted.slice(i * 2, i * 2 + 2).map(of) as [Came, Came];
    all.push([flawless, misread]);
    lines.push(
      `| *${name}* | ${percent(flawless)} | ${percent(misread)} | ${median(misread.checks)} | ` +
        `${share(misread.left, misread, 1)} |`,
    );
  }
  const [flawless, misread] = [together(all.map(([one]) => one)), together(all.map(([, one]) => one))];
  lines.push(
    `| all | ${percent(flawless)} | ${percent(misread)} | ${median(misread.checks)} | ` +
      `${share(misread.left, misread, 1)} |`,
  );
  return lines;
}

export function wrongTable(wrong: readonly Row[], pause: readonly Row[], of: (row: Row) => Came): string[] {
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
    'Dangerous specimens drawn from each account of them that did not see the guide, instead of from the ' +
      'guide: every state that it says can be seen, as often as any other; what it does not speak of, as the ' +
      'guide has it. And specimens that the guide is wrong about: of each of its statements on the danger, with ' +
      'this chance, the specimen shows instead what is usual for the target; every specimen meets other mistakes. ' +
      'False *collect* per 100,000, at 8 % misread and 0.5 repeats.',
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

export function worstPairs(): string[] {
  const { pairs, worst } = worstOfPairs();
  const lines = [
    '',
    `Worst case, counted: of ${pairs} listed pairs of a collectable target and a deadly or serious ` +
      `lookalike, ${worst.length === 0 ? 'none has a' : `${worst.length} ${worst.length === 1 ? 'has' : 'have'} a`} true reading of the lookalike that the guide takes for a ground against it. A deadly one needs three such grounds that share no cause, a serious one two.`,
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
