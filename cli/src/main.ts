import { readFile } from 'node:fs/promises';
import { text as readAll } from 'node:stream/consumers';
import { CaseError, compileGuide, GuideError, canonicalJson, parseGuide } from '@pause/core';
import { ask, ASKED, type Asked } from '@pause/core/questions';
import { shippedGuide } from '@pause/guide';

const USAGE = `usage: pause COMMAND FILE.json [--guide GUIDE.json]

  decide     the verdict of a find, its bars and its reasons
  next       the checks worth making now, and what each answer to the first would do
  plan       the cheapest checks that would fill everything, and what to fall back on
  pieces     the checks for the rest of the patch
  identify   candidates for a find without a name, and the check that tells most
  recompute  a stored find and its verdict, asked again of this guide
  lint       what a guide would have to mend; FILE.json is the guide

Prints one line of canonical JSON. "-" reads from standard input. Without --guide, the guide that ships is asked.`;

interface Out {
  write(text: string): unknown;
}

/** A mistake of the caller: said in one line, exit status 2. */
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
  const { file, guideFile } = readArguments(command, args);
  const question = await readJson(file);
  const other = guideFile === undefined ? undefined : await readJson(guideFile);
  try {
    const guide = compileGuide(other === undefined ? shippedGuide() : parseGuide(other));
    return canonicalJson(ask(command, question, guide));
  } catch (error) {
    if (error instanceof CaseError) throw new Refusal(oneLine(file, error.problems.map((p) => `${p.field}: ${p.reason}`)));
    if (error instanceof GuideError) throw new Refusal(oneLine(command === 'lint' ? file : guideFile ?? 'guide', error.message.split('\n')));
    throw error;
  }
}

function readArguments(command: Asked, args: readonly string[]): { file: string; guideFile: string | undefined } {
  const files: string[] = [];
  let guideFile: string | undefined;
  for (let index = 0; index < args.length; index += 1) {
    const arg = args[index] ?? '';
    if (arg === '--guide') {
      index += 1;
      guideFile = args[index];
      if (guideFile === undefined) throw new Refusal('--guide wants a file');
    } else if (arg.startsWith('--')) throw new Refusal(`"${arg}" is not an option; there is: --guide`);
    else files.push(arg);
  }
  const [file, ...more] = files;
  if (file === undefined) throw new Refusal(`${command} wants a file`);
  if (more.length > 0) throw new Refusal(`${command} wants one file, not ${files.length}`);
  return { file, guideFile };
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
    const reason = (error as NodeJS.ErrnoException).code === 'ENOENT' ? 'there is no such file' : (error as Error).message;
    throw new Refusal(`${file}: ${reason}`);
  }
  try {
    return JSON.parse(text);
  } catch (error) {
    throw new Refusal(`${file}: not JSON (${(error as Error).message.split('\n')[0] ?? ''})`);
  }
}
