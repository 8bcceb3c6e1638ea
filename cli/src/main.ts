import { readFile } from 'node:fs/promises';
import { text as readAll } from 'node:stream/consumers';
import { compileGuide, canonicalJson } from '@pause/core';
import { CaseError } from '@pause/core/case/parse';
import { GuideError, parseGuide } from '@pause/core/guide/parse';
import { ask, ASKED, type Asked, type LintFinding } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';
import { sayFinding } from './lint-words';

const USAGE = `usage: pause COMMAND FILE.json [--guide GUIDE.json]

  decide     the verdict of a find, its bars and its reasons
  next       the checks worth making now, and what each answer to the first would do
  plan       the cheapest checks that would fill everything, and what to fall back on
  pieces     the checks for the rest of the patch
  identify   candidates for a find without a name, and the check that tells most
  recompute  a stored find and its verdict, asked again of this guide
  lint       what a guide would have to mend: FILE.json, or the guide that ships; in sentences, or with --json as data
  stack      the guide with a pack applied to it, and what of the pack was not taken as it was given

Prints one line of canonical JSON (lint: sentences). "-" reads from standard input. Without --guide, the guide that ships is asked.`;

interface Out {
  write(text: string): unknown;
}

/** A mistake of the caller: reported in one line, exit status 2. */
class Refusal extends Error {}

/**
 * The command line.
 *
 * @returns the exit status: 0 done, 2 refused (one line on `err` names the field)
 */
export async function main(args: readonly string[], out: Out, err: Out): Promise<number> {
  try {
    const [command, ...rest] = args;
    if (command === undefined || command === '--help' || command === 'help') {
      out.write(`${USAGE}\n`);
      return command === undefined ? 2 : 0;
    }
    const asked = ASKED.find((name) => name === command);
    if (!asked) throw new Refusal(`"${command}" is not a command; there are: ${ASKED.join(', ')}`);
    out.write(`${await answer(asked, rest)}\n`);
    return 0;
  } catch (error) {
    if (!(error instanceof Refusal)) throw error;
    err.write(`pause: ${error.message}\n`);
    return 2;
  }
}

async function answer(command: Asked, args: readonly string[]): Promise<string> {
  const { file, guideFile, json } = readArguments(command, args);
  const question = file === SHIPPED ? shippedGuide() : await readJson(file);
  const other = guideFile === undefined ? undefined : await readJson(guideFile);
  try {
    const guide = compileGuide(other === undefined ? shippedGuide() : parseGuide(other));
    const reply = ask(command, question, guide);
    return command === 'lint' && !json ? sentences(reply as LintFinding[]) : canonicalJson(reply);
  } catch (error) {
    if (error instanceof CaseError)
      throw new Refusal(
        oneLine(
          file,
          error.problems.map((p) => `${p.field}: ${p.reason}`),
        ),
      );
    if (error instanceof GuideError)
      throw new Refusal(
        oneLine(
          command === 'lint' || command === 'stack' ? file : (guideFile ?? 'guide'),
          error.message.split('\n'),
        ),
      );
    throw error;
  }
}

/** Stands for the guide that ships where a file is named. */
const SHIPPED = '(the guide that ships)';

function sentences(findings: readonly LintFinding[]): string {
  return findings.map((finding) => `${finding.level}: ${sayFinding(finding)}`).join('\n');
}

function readArguments(
  command: Asked,
  args: readonly string[],
): { file: string; guideFile: string | undefined; json: boolean } {
  const files: string[] = [];
  let guideFile: string | undefined;
  let json = false;
  for (let index = 0; index < args.length; index += 1) {
    const arg = args[index] ?? '';
    if (arg === '--guide') {
      index += 1;
      guideFile = args[index];
      if (guideFile === undefined) throw new Refusal('--guide wants a file');
    } else if (arg === '--json' && command === 'lint') json = true;
    else if (arg.startsWith('--'))
      throw new Refusal(
        `"${arg}" is not an option; there is: --guide${command === 'lint' ? ', --json' : ''}`,
      );
    else files.push(arg);
  }
  const [file = command === 'lint' ? SHIPPED : undefined, ...more] = files;
  if (file === undefined) throw new Refusal(`${command} wants a file`);
  if (more.length > 0) throw new Refusal(`${command} wants one file, not ${files.length}`);
  return { file, guideFile, json };
}

function oneLine(file: string, problems: readonly string[]): string {
  const [first, ...more] = problems;
  return `${file}: ${first ?? 'cannot be read'}${more.length > 0 ? ` (and ${more.length} more)` : ''}`;
}

async function readJson(file: string): Promise<unknown> {
  let text: string;
  try {
    text = file === '-' ? await readAll(process.stdin) : await readFile(file, 'utf8');
  } catch (error) {
    const reason =
      (error as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : (error as Error).message;
    throw new Refusal(`${file}: ${reason}`);
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(`${file}: not JSON (${(error as Error).message.split('\n')[0] ?? ''})`);
  }
}
