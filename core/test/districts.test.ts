import { spawnSync } from 'node:child_process';
import { rmSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';

const root = join(__dirname, '../..');

/** Rules that lint finds broken, by file, if these files stood in the tree. They stand there meanwhile. */
function rulesBroken(files: Readonly<Record<string, string>>): Record<string, string[]> {
  const paths = Object.keys(files).map((file) => join(root, file));
  try {
    for (const [file, text] of Object.entries(files)) writeFileSync(join(root, file), text);
    const { stdout, stderr } = spawnSync(
      process.execPath,
      ['node_modules/eslint/bin/eslint.js', '--format', 'json', ...paths],
      { cwd: root, encoding: 'utf8' },
    );
    if (!stdout) throw new Error(stderr);
    const results = JSON.parse(stdout) as { filePath: string; messages: { ruleId: string }[] }[];
    return Object.fromEntries(
      results.map(({ filePath, messages }) => [
        basename(filePath, '.ts'),
        messages.map((message) => message.ruleId),
      ]),
    );
  } finally {
    for (const path of paths) rmSync(path, { force: true });
  }
}

test('lint refuses imports against the arrows between districts, past a door, and in a circle', () => {
  const broken = rulesBroken({
    'core/src/verdict/probeDown.ts':
      "import { canonicalJson } from '../lib/canonical';\n\nexport const one = canonicalJson(1);\n",
    'core/src/lib/probeUp.ts': "import { decide } from '../verdict';\n\nexport const one = decide;\n",
    'core/src/advice/probePast.ts':
      "import { tally } from '../verdict/bars/tally';\n\nexport const one = tally;\n",
    'core/src/lib/probeThere.ts':
      "import { back } from './probeBack';\n\nexport const there = (): unknown => back;\n",
    'core/src/lib/probeBack.ts':
      "import { there } from './probeThere';\n\nexport const back = (): unknown => there;\n",
    'app/src/text/probeScreen.ts':
      "import { StartScreen } from '../screens/start/StartScreen';\n\nexport const one = StartScreen;\n",
  });
  expect(broken).toEqual({
    probeDown: [],
    probeUp: ['import-x/no-restricted-paths'],
    probePast: ['import-x/no-internal-modules'],
    probeThere: ['import-x/no-cycle'],
    probeBack: ['import-x/no-cycle'],
    probeScreen: ['import-x/no-restricted-paths'],
  });
}, 240_000);
