import type { Language } from './messages';

/**
 * English with accents and a third longer, to see that every word comes from the catalogue and that longer words
 * fit: the language of devices set to `en-XA`.
 */

const ACCENTED: Readonly<Record<string, string>> = {
  a: 'áa',
  e: 'ée',
  i: 'íi',
  o: 'óo',
  u: 'úu',
  A: 'Á',
  E: 'É',
  I: 'Í',
  O: 'Ó',
  U: 'Ú',
  c: 'ç',
  n: 'ñ',
  y: 'ý',
};

const longer = (words: string): string =>
  words.replace(/[aeiouAEIOUcny]/g, (letter) => ACCENTED[letter] ?? letter);

/** Private characters that stand for texts given to a message, so that these are not made longer twice. */
const FIRST_STAND_IN = 0xe000;

function withParameters(message: (...parameters: never[]) => string) {
  return (...parameters: unknown[]): string => {
    const given: string[] = [];
    const standIns = parameters.map((one) =>
      typeof one === 'string' ? String.fromCharCode(FIRST_STAND_IN + given.push(one) - 1) : one,
    );
    return longer(message(...(standIns as never[]))).replace(
      /[\uE000-\uE0FF]/g,
      (standIn) => given[standIn.charCodeAt(0) - FIRST_STAND_IN] ?? '',
    );
  };
}

export const language: Language = {
  tag: 'en-XA',
  area: (_, english) =>
    Object.fromEntries(
      Object.entries(english).map(([name, message]) => [
        name,
        typeof message === 'string' ? longer(message) : withParameters(message),
      ]),
    ),
};
