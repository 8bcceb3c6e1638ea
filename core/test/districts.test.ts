import { spawnSync } from 'node:child_process';
import { join } from 'node:path';

const root = join(__dirname, '../..');

/** What lint says of this text, if it stood in this file. */
function rulesBroken(file: string, text: string): string[] {
  const { stdout } = spawnSync(
    process.execPath,
    ['node_modules/eslint/bin/eslint.js', '--stdin', '--stdin-filename', file, '--format', 'json'],
    { cwd: root, input: text, encoding: 'utf8' },
  );
  const [result] = JSON.parse(stdout) as { messages: { ruleId: string }[] }[];
  return result!.messages.map((message) => message.ruleId);
}

test('lint refuses an import against the arrows between districts, and one past a door', () => {
  const own = "import { canonicalJson } from '../lib/canonical';\n\nexport const one = canonicalJson(1);\n";
  expect(rulesBroken('core/src/verdict/settle.ts', own)).toEqual([]);
  const upwards = "import { decide } from '../verdict';\n\nexport const one = decide;\n";
  expect(rulesBroken('core/src/lib/day.ts', upwards)).toEqual(['import-x/no-restricted-paths']);
  const pastTheDoor = "import { tally } from '../verdict/bars/tally';\n\nexport const one = tally;\n";
  expect(rulesBroken('core/src/advice/pieces.ts', pastTheDoor)).toEqual(['import-x/no-internal-modules']);
}, 120_000);
