import { ZxcvbnFactory } from '@zxcvbn-ts/core';
import { adjacencyGraphs, dictionary } from '@zxcvbn-ts/language-common';

/** Of zxcvbn's steps from 0 to 4: below this a password is among the first that somebody tries. */
const LEAST_SCORE = 2;
let estimator: ZxcvbnFactory | undefined;

/**
 * Whether a password is soon guessed: one that many people use, or made of the person's own name or address.
 */
export function isSoonGuessed(password: string, about: readonly string[]): boolean {
  estimator ??= new ZxcvbnFactory({ dictionary, graphs: adjacencyGraphs });
  return estimator.check(password, [...about]).score < LEAST_SCORE;
}
