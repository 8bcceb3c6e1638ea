import { fork, type ChildProcess } from 'node:child_process';
import { writeFileSync } from 'node:fs';
import { availableParallelism } from 'node:os';
import { fileURLToPath } from 'node:url';
import type { Temper } from './simulate/observer';
import { BASELINES, GROUPS_TRIED, GUIDE, run, together, type Came, type Job } from './simulate/rows';
import { WITHOUT } from './simulate/rules';

/**
 * How safe it is, in simulation: npm run bench:safety [share of the full number of specimens]. Dangerous specimens are
 * taken for a target that lists them; true ones are checked at a stage at which they are worth having. The work is cut
 * into shares and spread over the cores; the same shares give the same figures on any number of them.
 */

const SHARE_SIZE = 5_000;

/** Runs every job, on as many processes as there are cores. */
async function all(jobs: readonly Job[], done: (count: number) => void): Promise<Came[]> {
  const came: Came[] = new Array<Came>(jobs.length);
  let next = 0;
  let finished = 0;
  const work = (child: ChildProcess) => new Promise<void>((resolve, reject) => {
    let mine = -1;
    const take = () => {
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
      finished += 1;
      done(finished);
      take();
    });
    child.on('error', reject);
    child.on('exit', (code) => { if (code) reject(new Error(`a share ended with ${code}`)); });
    take();
  });
  const file = fileURLToPath(import.meta.url);
  await Promise.all(Array.from({ length: availableParallelism() }, () => work(fork(file))));
  return came;
}

type Row = Omit<Job, 'seed'>;

function shares(row: Row): Job[] {
  const jobs: Job[] = [];
  for (let left = row.specimens, seed = 20_260_914; left > 0; left -= SHARE_SIZE, seed += 1) jobs.push({ ...row, specimens: Math.min(left, SHARE_SIZE), seed });
  return jobs;
}

async function report(scale: number): Promise<void> {
  const n = (specimens: number) => Math.max(100, Math.round(specimens * scale));
  const tempers: Temper[] = [0.03, 0.08, 0.2].flatMap((misread) => [0.5, 0].flatMap((repeat) => [false, true].map((hopeful) => ({ misread, repeat, hopeful }))));
  const main = (t: Temper) => t.misread === 0.08 && t.repeat === 0.5;
  const middling = { misread: 0.08, repeat: 0.5, hopeful: false };
  const hopeful = { ...middling, hopeful: true };

  const pause = tempers.flatMap((temper): Row[] => [
    { way: 'Pause', rules: 'every rule', temper, of: 'deadly', specimens: n(main(temper) ? (temper.hopeful ? 100_000 : 1_000_000) : temper.hopeful ? 8_000 : 20_000) },
    { way: 'Pause', rules: 'every rule', temper, of: 'serious', specimens: n(main(temper) ? (temper.hopeful ? 20_000 : 100_000) : 8_000) },
    { way: 'Pause', rules: 'every rule', temper, of: 'true', specimens: n(main(temper) ? 70_000 : 4_000) },
  ]);
  const others = Object.keys(BASELINES).flatMap((way) => [middling, hopeful].flatMap((temper) => (['deadly', 'serious', 'true'] as const).map((of): Row => ({
    way: way as keyof typeof BASELINES, rules: 'every rule', temper, of, specimens: n(way.startsWith('prob') ? 1_000 : 5_000),
  }))));
  const off = WITHOUT.flatMap((rules) => ([[middling, 'deadly', 20_000], [hopeful, 'deadly', 6_000], [hopeful, 'serious', 4_000], [middling, 'true', 3_000]] as const).map(
    ([temper, of, specimens]): Row => ({ way: 'Pause', rules: rules.name, temper, of, specimens: n(specimens) }),
  ));
  const leftOut = GROUPS_TRIED.flatMap((groups) => [middling, hopeful].map((temper): Row => ({ way: 'Pause', rules: `${groups} groups`, temper, of: 'left-out', specimens: n(temper.hopeful ? 5_000 : 10_000) })));
  const paid = GROUPS_TRIED.map((groups): Row => ({ way: 'Pause', rules: `${groups} groups`, temper: middling, of: 'true', specimens: n(3_000) }));

  const rows = [...pause, ...others, ...off, ...leftOut, ...paid];
  const jobs = rows.flatMap((row) => shares(row).map((job) => ({ row, job })));
  const came = await all(jobs.map(({ job }) => job), (count) => { process.stderr.write(`\r${count} of ${jobs.length} shares`); });
  const of = (row: Row): Came => together(came.filter((_, i) => jobs[i]?.row === row));
  const text = [...intro(), ...mainTable(pause, others, of), ...letThrough(pause, of), ...offTable(off, of), ...leftOutTable(leftOut, paid, of)].join('\n');
  writeFileSync('docs/safety.md', `${text}\n`);
  process.stdout.write(`\n${text}\n`);
}

const median = (values: readonly number[]) => [...values].sort((a, b) => a - b)[Math.floor(values.length / 2)] ?? 0;
const percent = (c: Came) => `${((c.collected / c.specimens) * 100).toFixed(1)} %`;
/** Per 100,000; where none was seen, the rate that would show one in twenty such runs none (3 in n). */
function rate(c: Came): string {
  const per = (k: number) => (k / c.specimens) * 100_000;
  return c.collected > 0 ? per(c.collected).toFixed(per(c.collected) < 10 ? 2 : 0) : `0 (under ${per(3).toFixed(per(3) < 10 ? 1 : 0)})`;
}

function intro(): string[] {
  return [
    '# Safety, in simulation', '',
    `\`npm run bench:safety\`, guide \`${GUIDE.version.slice(0, 12)}\` of ${GUIDE.taxa} taxa. About an hour on two slow cores; \`npm run bench:safety 0.02\` gives a first idea.`, '',
    'Specimens vary one by one within the guide\'s statements, one in ten in what is only occasional; where the guide says nothing, they show anything. Observers go wrong by whole causes: a group, all colours, all smells, all numbers, all absences, each with the chance in the column *misread*. A second look at the same thing repeats the first mistake with the chance in *repeats*; who has seen through a mistake does not make it again. The *hopeful* misread twice as often, nine times of ten towards what they want it to be, pass over half of the checks whose answer they dislike, and start again on up to two more pieces. They follow Pause\'s next checks and look again where it asks to.', '',
    'What this does not show: a guide that is wrong, a specimen outside its statements, or a person who does not look at all.', '',
    '## False collect, and true ones that get there', '',
    'False *collect* per 100,000 dangerous specimens, each taken for a target that lists it as a lookalike. *True* is the share of specimens of the target, at a stage at which its part is worth having, that reach *collect*; checks and seconds are medians of those.', '',
    '| way | misread | repeats | hopeful | deadly | serious | true | checks | seconds | deadly specimens |', '|---|---|---|---|---|---|---|---|---|---|',
  ];
}

function mainTable(pause: readonly Row[], others: readonly Row[], of: (row: Row) => Came): string[] {
  const lines: string[] = [];
  const rows = [...pause, ...others];
  for (let i = 0; i < rows.length; i += 3) {
    const [deadly, serious, genuine] = rows.slice(i, i + 3).map(of) as [Came, Came, Came];
    const { way, temper } = rows[i] as Row;
    lines.push(`| ${way} | ${temper.misread * 100} % | ${temper.repeat} | ${temper.hopeful ? 'yes' : 'no'} | ${rate(deadly)} | ${rate(serious)} | ${percent(genuine)} | ${median(genuine.checks)} | ${median(genuine.seconds)} | ${deadly.specimens.toLocaleString('en')} |`);
  }
  return lines;
}

function letThrough(pause: readonly Row[], of: (row: Row) => Came): string[] {
  const pairs = together(pause.filter((row) => row.of !== 'true').map(of)).pairs;
  const worst = Object.entries(pairs).sort(([, a], [, b]) => b - a).slice(0, 8);
  return ['', `What Pause let through most, over all these rows: ${worst.map(([pair, n]) => `*${pair.replace(' > ', '* for *')}* (${n})`).join(', ') || 'nothing'}.`];
}

function offTable(off: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '', '## What each rule buys', '',
    'One rule switched off at a time, at 8 % misread and 0.5 repeats. What the others have to bear shows how they overlap: several lines of defence stand before each danger, and a line that shows little here is the one that holds where another fails.', '',
    '| without | deadly | deadly, hopeful | serious, hopeful | true | checks |', '|---|---|---|---|---|---|',
  ];
  for (let i = 0; i < off.length; i += 4) {
    const [deadly, hopefulDeadly, hopefulSerious, genuine] = off.slice(i, i + 4).map(of) as [Came, Came, Came, Came];
    lines.push(`| ${(off[i] as Row).rules} | ${rate(deadly)} | ${rate(hopefulDeadly)} | ${rate(hopefulSerious)} | ${percent(genuine)} | ${median(genuine.checks)} |`);
  }
  return lines;
}

function leftOutTable(leftOut: readonly Row[], paid: readonly Row[], of: (row: Row) => Came): string[] {
  const lines = [
    '', '## A relative that the guide does not know', '',
    'Each deadly or serious taxon in turn is taken out of the guide, and its specimens are checked as the target that used to list it. Nothing bars what nobody has thought of: what is left is the target\'s own signature, and the number of groups that must fit. Share of such specimens that reach *collect*, against that number, and what it costs true finds.', '',
    '| groups that must fit | collect | collect, hopeful | true | checks |', '|---|---|---|---|---|',
  ];
  for (const [i, groups] of GROUPS_TRIED.entries()) {
    const [plain, hoping] = leftOut.slice(i * 2, i * 2 + 2).map(of) as [Came, Came];
    const genuine = of(paid[i] as Row);
    lines.push(`| ${groups} | ${((plain.collected / plain.specimens) * 100).toFixed(2)} % | ${((hoping.collected / hoping.specimens) * 100).toFixed(2)} % | ${percent(genuine)} | ${median(genuine.checks)} |`);
  }
  lines.push(
    '', 'Eight it is: the largest number at which true finds lose nothing beyond the noise of these runs (about 1.5 points). From nine on they do, more with each, and need more checks, while what gets through falls little further: no more for the plain, by a third at most for the hopeful. A group that wants it may ask for more. Most of the work is done by the rule that what contradicts the target is looked at again, and left if it stays; the number of groups is what remains when somebody sees what they want to see.',
  );
  return lines;
}

if (process.send) {
  process.on('message', (job: Job) => { process.send?.(run(job)); });
} else await report(Number(process.argv[2] ?? 1));
