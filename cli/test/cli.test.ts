import { execFile } from 'node:child_process';
import { mkdtemp, rm, writeFile } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { canonicalJson, decide, type Verdict } from '@pause/core';
import { ask } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';
import { followChecks, guide } from '../../core/test/finds';

const BIN = join(__dirname, '../bin/pause.js');
const WAIT = 30_000;

function pause(...args: string[]): Promise<{ status: number; out: string; err: string }> {
  return new Promise((resolve) => {
    execFile(process.execPath, [BIN, ...args], (error, out, err) => {
      resolve({ status: error ? Number(error.code) : 0, out, err });
    });
  });
}

let folder: string;
const file = async (name: string, content: unknown) => {
  const path = join(folder, name);
  await writeFile(path, typeof content === 'string' ? content : JSON.stringify(content));
  return path;
};
beforeAll(async () => {
  folder = await mkdtemp(join(tmpdir(), 'pause-cli-'));
});

afterAll(() => rm(folder, { recursive: true, force: true }));

test(
  'prints the verdict, its bars and its reasons, in the same bytes as the core',
  async () => {
    const find = followChecks('cantharellus-cibarius');
    const { status, out, err } = await pause('decide', await file('find.json', find));
    expect([status, err]).toEqual([0, '']);
    expect(out).toBe(`${canonicalJson(decide(guide, find))}\n`);
    const verdict = JSON.parse(out) as Verdict;
    expect(verdict.outcome).toBe('collect');
    expect(verdict.rows[0]?.bars.length).toBeGreaterThanOrEqual(3);
  },
  WAIT,
);

test(
  'the find that the documentation works through is decided as it says there',
  async () => {
    const { status, out } = await pause('decide', join(__dirname, '../../docs/examples/chanterelle.json'));
    const verdict = JSON.parse(out) as Verdict;
    expect([status, verdict.outcome, verdict.leansOn]).toEqual([
      0,
      'collect',
      ['r1', 'r10', 'r11', 'r12', 'r13', 'r2', 'r3', 'r4', 'r8', 'r9'],
    ]);
    const have = Object.fromEntries(verdict.rows.map((row) => [row.taxon, row.have]));
    expect(have).toMatchObject({
      'cortinarius-rubellus': 5,
      'paxillus-involutus': 3,
      'omphalotus-olearius': 4,
      'hygrophoropsis-aurantiaca': 3,
      'gyromitra-esculenta': 4,
      'amanita-phalloides': 5,
    });
  },
  WAIT,
);

test.each(['next', 'plan', 'pieces', 'identify', 'recompute', 'lint', 'stack'] as const)(
  '%s gives the same bytes as the core',
  async (command) => {
    const find = JSON.parse(JSON.stringify(followChecks('boletus-edulis'))) as Record<string, unknown>;
    const { target: _target, earlierTargets: _earlier, ...unnamed } = find;
    const question = {
      next: find,
      plan: { find },
      pieces: { find },
      identify: { find: unnamed },
      recompute: { find, verdict: decide(guide, followChecks('boletus-edulis')) },
      lint: guide.guide,
      stack: {
        format: 'pause-pack/1',
        id: 'weir',
        title: 'The weir',
        licence: 'CC0-1.0',
        about: 'Below the weir.',
        over: guide.guide.id,
        statements: [{ taxon: 'conium-maculatum', statement: { character: 'stem.marks', usual: ['plain'] } }],
      },
    }[command];
    const { status, out } = await pause(
      command,
      await file(`${command}.json`, question),
      ...(command === 'lint' ? ['--json'] : []),
    );
    expect([status, out]).toEqual([0, `${canonicalJson(ask(command, question, guide))}\n`]);
  },
  WAIT,
);

test(
  'lint says in sentences what is wrong, where, and what would mend it',
  async () => {
    const lines = (await pause('lint')).out.trim().split('\n');
    expect(lines.filter((line) => !/fewer than two readings support/.test(line))).toEqual([
      `note: ${guide.taxa.length} taxa were reviewed by nobody. Let local experts review them, the deadly pairs first.`,
    ]);
    const raw = JSON.parse(JSON.stringify(shippedGuide())) as {
      taxa: { id: string; nearDoubles?: unknown; statements: { character: string }[] }[];
    };
    const saffron = raw.taxa.find((t) => t.id === 'omphalotus-olearius')!;
    saffron.statements = saffron.statements.filter((s) => s.character !== 'latex');
    delete raw.taxa.find((t) => t.id === 'kuehneromyces-mutabilis')!.nearDoubles;
    const { out } = await pause('lint', await file('worse.json', raw));
    expect(out).toContain(
      'weak: omphalotus-olearius / latex: every dangerous taxon of its body plan states this',
    );
    expect(out).toMatch(
      /weak: kuehneromyces-mutabilis against galerina-marginata, mature: a typical specimen gives \d bars that share no cause, 3 are needed\. .*declare a near-double\./,
    );
    expect(out).toContain('weak: kuehneromyces-mutabilis, cap, mature: no set of checks ends in collect.');
  },
  WAIT,
);

test(
  'another guide can be asked',
  async () => {
    const other = await file('other.json', { ...shippedGuide(), id: 'other' });
    const find = await file('for-other.json', { ...followChecks('hydnum-repandum'), guide: { id: 'other' } });
    const { status, out } = await pause('decide', find, '--guide', other);
    expect(status).toBe(0);
    expect((JSON.parse(out) as Verdict).guide.id).toBe('other');
  },
  WAIT,
);

const good = () =>
  JSON.parse(JSON.stringify(followChecks('cantharellus-cibarius'))) as Record<string, unknown>;

test.each<[string, () => Promise<string[]>, RegExp]>([
  [
    'unknown taxon',
    async () => ['decide', await file('a.json', { ...good(), target: 'nothing-known' })],
    /a\.json: target: "nothing-known" is not a taxon/,
  ],
  [
    'number without unit',
    async () => {
      const find = good();
      const [first] = find.readings as Record<string, unknown>[];
      return [
        'decide',
        await file('b.json', {
          ...find,
          readings: [{ ...first, character: 'cap.width', value: { kind: 'measure', number: 4 } }],
        }),
      ];
    },
    /b\.json: readings\[0\]\.value\.unit: /,
  ],
  [
    'several at once',
    async () => ['decide', await file('c.json', { target: 3 })],
    /c\.json: guide: .* \(and \d+ more\)/,
  ],
  ['not JSON', async () => ['decide', await file('d.json', '{"guide":')], /d\.json: not JSON/],
  ['no such file', () => Promise.resolve(['decide', join(folder, 'none.json')]), /there is no such file/],
  ['no file', () => Promise.resolve(['decide']), /decide wants a file/],
  [
    'a guide with a mistake',
    async () => [
      'decide',
      await file('e.json', good()),
      '--guide',
      await file('g.json', { ...shippedGuide(), licence: '' }),
    ],
    /g\.json: licence: /,
  ],
  ['no such command', () => Promise.resolve(['divine']), /"divine" is not a command/],
  ['no such option', () => Promise.resolve(['decide', '--loud']), /"--loud" is not an option/],
])(
  '%s: one line that names the field, status 2',
  async (_, args, line) => {
    const { status, out, err } = await pause(...(await args()));
    expect([status, out]).toEqual([2, '']);
    expect(err).toMatch(line);
    expect(err.trimEnd().split('\n')).toHaveLength(1);
  },
  WAIT,
);
