import { workerData } from 'piscina';
import {
  compileGuide,
  type CompiledGuide,
  type FindRecord,
  type Guide,
  type Policy,
  type Verdict,
} from '@pause/core';
import type { Arrival } from '@pause/core/notebook';
import { onArrival } from '../notebook/judge';
import { Problem } from '../problem';
import type { ThreadRefusal } from '../threads';

/** A thread that works out verdicts. The guide is compiled once, when it starts. */

export interface Question {
  readonly verdict: Verdict;
  readonly record: FindRecord;
  readonly policy: Policy | undefined;
  readonly at: string;
}
export interface Reached {
  readonly arrival: Arrival | undefined;
}

let guide: CompiledGuide | undefined;

export default function reach({ verdict, record, policy, at }: Question): Reached | ThreadRefusal {
  guide ??= compileGuide(workerData as Guide);
  try {
    return { arrival: onArrival(verdict, record, guide, policy, at) };
  } catch (error) {
    if (error instanceof Problem) return { refused: error.errors };
    throw error;
  }
}
