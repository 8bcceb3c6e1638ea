import { workerData } from 'piscina';
import { compileGuide, type CompiledGuide, type Guide } from '@pause/core';
import { CaseError } from '@pause/core/case/parse';
import { GuideError } from '@pause/core/guide/parse';
import { ask, type Asked } from '@pause/core/questions';
import type { ThreadRefusal } from '../threads';

/** A thread that answers questions. The guide is compiled once, when it starts. */

export interface Question {
  readonly asked: Asked;
  readonly body: unknown;
}
export interface Answered {
  readonly answer: unknown;
}

let guide: CompiledGuide | undefined;

export default function answer({ asked, body }: Question): Answered | ThreadRefusal {
  guide ??= compileGuide(workerData as Guide);
  try {
    return { answer: ask(asked, body, guide) };
  } catch (error) {
    if (error instanceof CaseError) return { refused: error.problems };
    if (error instanceof GuideError)
      return { refused: error.problems.map((p) => ({ field: p.path, reason: p.reason })) };
    throw error;
  }
}
