import { spawnSync } from 'node:child_process';
import { cpSync, mkdirSync, mkdtempSync, readFileSync, rmSync, writeFileSync } from 'node:fs';
import { dirname, join } from 'node:path';

const root = join(__dirname, '../..');

/** The blocks of docs/adding.md that name a file: what stands in it, or how it changes. */
function examples(): { readonly language: string; readonly file: string; readonly text: string }[] {
  const page = readFileSync(join(root, 'docs/adding.md'), 'utf8');
  return [...page.matchAll(/^```(ts|diff) (core\/\S+)\n(.*?)^```$/gms)].map(
    ([, language = '', file = '', text = '']) => ({ language, file, text }),
  );
}

/** A text as it is after a change: hunks of lines that stay (" "), go ("-") and come ("+"). */
function changed(before: string, diff: string): string {
  return diff.split(/^@@\n/m).reduce((text, hunk) => {
    const lines = hunk.split('\n').filter((line) => line !== '');
    const side = (other: string) =>
      lines
        .filter((line) => !line.startsWith(other))
        .map((line) => `${line.slice(1)}\n`)
        .join('');
    const [old, now] = [side('+'), side('-')];
    if (text.split(old).length !== 2) throw new Error(`not there, or more than once:\n${old}`);
    return text.replace(old, () => now);
  }, before);
}

/** What was seen of a core with all examples in it. */
const SCRIPT = `
import { shippedGuide } from '@pause/guide';
import * as core from './core/src/index';
import { parseCase } from './core/src/case/parse';
import { entriesOfFind } from './core/src/formats/logbook/unfold';
import { parseGuide } from './core/src/guide/parse';
import { applyToPage, parseEntry, currentFields } from './core/src/notebook';
import { verdictProblems } from './core/src/verdict/schema';

const shipped = shippedGuide();
const like = shipped.characters.find(({ id }) => id === 'cap.colour');
const stated = (usual, outer) => ({ character: 'cap.scaly-share', range: { usual, outer }, readBy: ['one', 'two'] });
const raw = {
  ...shipped,
  readings: [
    ...(shipped.readings ?? []),
    { id: 'one', reader: 'one', about: 'a' },
    { id: 'two', reader: 'two', about: 'b' },
  ],
  characters: [
    ...shipped.characters,
    {
      id: 'cap.scaly-share', kingdom: 'Fungi', organ: 'cap', name: 'Scaly share', question: 'How much of it is scaly?',
      how: 'Look from above.', group: 'scaly-share', observe: 'look', seconds: 5, damage: 'none', misread: 0.1,
      kind: 'share', stages: like.stages,
    },
  ],
  taxa: shipped.taxa.map((taxon) =>
    taxon.id === 'macrolepiota-procera'
      ? { ...taxon, statements: [...taxon.statements, stated([40, 80], [30, 95])] }
      : taxon.id === 'amanita-phalloides'
        ? { ...taxon, statements: [...taxon.statements, stated([0, 0], [0, 5])] }
        : taxon,
  ),
};
const guide = core.compileGuide(parseGuide(raw));
const find = parseCase({
  guide: { id: guide.guide.id }, kingdom: 'Fungi', target: 'macrolepiota-procera',
  pieces: [{ id: 'p', startedAt: '2026-09-14T08:00:00.000Z', purpose: 'decide' }],
  readings: [60, 62].map((number, nth) => ({
    id: 'r' + nth, piece: 'p', character: 'cap.scaly-share', value: { kind: 'share', number },
    sureness: 'sure', by: 'ada', at: '2026-09-14T08:00:0' + nth + '.000Z',
  })),
  context: {},
}, guide);
const verdict = core.decide(guide, find);
const wrong = (() => {
  try {
    parseCase({ ...find, readings: [{ ...find.readings[0], value: { kind: 'count', number: 3 } }] }, guide);
    return 'taken';
  } catch (error) {
    return error.message;
  }
})();
const at = '2026-09-14T08:00:00.000Z';
const entry = (raw) => {
  const parsed = parseEntry(raw);
  if (!parsed.entry) throw new Error(JSON.stringify(parsed));
  return parsed.entry;
};
const remark = entry({
  kind: 'remarks', find: 'find-one', body: { id: 'remark-1', at, by: 'ada', text: 'mind the slope' },
});
const record = core.applyEntries(undefined, [
  remark,
  entry({ kind: 'finds', find: 'find-one', body: { id: 'find-one', startedAt: at, kingdom: 'Fungi', person: 'ada' } }),
]);
const page = [
  { kind: 'pages', page: 'tool-one', body: { id: 'tool-one', at, by: 'ada', kind: 'tool' } },
  {
    kind: 'fields', page: 'tool-one',
    body: { id: 'field-one', at, by: 'ada', of: 'tool', field: 'name', value: 'knife' },
  },
].map(entry).reduce(applyToPage, undefined);
console.log(JSON.stringify({
  remarks: record.remarks.map(({ text }) => text),
  again: entriesOfFind(record).filter(({ kind }) => kind === 'remarks').length,
  tool: currentFields(page, 'tool'),
  bars: verdict.rows.find(({ taxon }) => taxon === 'amanita-phalloides').bars.map(({ character }) => character),
  hurried: verdict.reasons.filter(({ code }) => code === 'hurried'),
  problems: verdictProblems(verdict),
  wrong,
}));
`;

describe('what docs/adding.md says of the core is true', () => {
  let scratch = '';
  beforeAll(() => {
    mkdirSync(join(root, 'build'), { recursive: true });
    scratch = mkdtempSync(join(root, 'build/adding-'));
    cpSync(join(root, 'core/src'), join(scratch, 'core/src'), { recursive: true });
    for (const { language, file, text } of examples()) {
      const path = join(scratch, file);
      mkdirSync(dirname(path), { recursive: true });
      writeFileSync(path, language === 'ts' ? text : changed(readFileSync(path, 'utf8'), text));
    }
    writeFileSync(join(scratch, 'script.mts'), SCRIPT);
    writeFileSync(
      join(scratch, 'tsconfig.json'),
      JSON.stringify({
        extends: '../../tsconfig.base.json',
        compilerOptions: { types: ['node'] },
        include: ['core'],
      }),
    );
  });
  afterAll(() => rmSync(scratch, { recursive: true, force: true }));

  const node = (...args: string[]) =>
    spawnSync(process.execPath, args, { cwd: scratch, encoding: 'utf8', maxBuffer: 1e7 });

  test('there is one for each thing that has a place of its own', () => {
    expect(examples().map(({ file }) => file)).toEqual([
      'core/src/guide/kinds/share.ts',
      'core/src/guide/kinds/index.ts',
      'core/src/verdict/rules/hurry.ts',
      'core/src/verdict/rules/index.ts',
      'core/src/notebook/find/record.ts',
      'core/src/notebook/entry.ts',
      'core/src/notebook/find/kinds.ts',
      'core/src/notebook/page/tool.ts',
      'core/src/notebook/page/schema.ts',
    ]);
  });

  test('the compiler takes the examples as they stand', () => {
    const { stdout } = node(join(root, 'node_modules/typescript/bin/tsc'), '-p', 'tsconfig.json');
    expect(stdout).toBe('');
  });

  test('the new kinds and the new rule work, with all that follows from them', () => {
    const { stdout, stderr } = node('--import', 'tsx', 'script.mts');
    expect(stderr).toBe('');
    expect(JSON.parse(stdout)).toEqual({
      remarks: ['mind the slope'],
      again: 1,
      tool: { name: 'knife' },
      bars: ['cap.scaly-share'],
      hurried: [{ code: 'hurried', weight: 'note', answers: 2, seconds: 1 }],
      problems: [],
      wrong: 'readings[0].value.kind: "cap.scaly-share" is answered with share, not count',
    });
  });
});
