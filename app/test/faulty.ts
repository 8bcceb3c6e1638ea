/**
 * What makes a line no plain sentence: words of the program, holes, doubled words, wrong plurals, spans that
 * run backwards.
 */

const PROGRAM = /undefined|NaN|\[object|\bnull\b|Infinity|\b[a-z]+[A-Z][a-z]+|[a-z]\.[a-z]{2}/;
const HOLE = / {2}|\.\.|[,;:] ?[.;,)]|\( *\)|: *$| ,| \.(?!\d)|\band[.,]|^[,;.]|[,;]$/;
/** Doubled words that are right. */
const MAY_DOUBLE = ['that'];
const SINGULAR =
  /(?:^|[^\d.,-])1\u00A0?\s?(?:pieces|handfuls|litres|days|hours|minutes|weeks|jars|times|proofs|others)\b/;
const UNITS = ['minute', 'hour', 'day', 'week', 'month', 'year'];

/** What is wrong with a line, in words; nothing where it reads as a person would write it. */
export function faultsOf(line: string): string[] {
  const doubled = [...line.matchAll(/\b([A-Za-z]+) \1\b/g)]
    .map((match) => match[1] ?? '')
    .filter((word) => !MAY_DOUBLE.includes(word));
  const backwards = [
    ...line.matchAll(/(\d+(?:\.\d+)?)(?: ([a-z]+?)s?)? to (\d+(?:\.\d+)?) ([a-z]+?)s?\b/g),
  ].filter(([, from, unitFrom, to, unitTo = '']) => {
    const [before, after] = [UNITS.indexOf(unitFrom ?? unitTo), UNITS.indexOf(unitTo)];
    return after >= 0 && (before > after || (before === after && Number(from) > Number(to)));
  });
  return [
    ...(PROGRAM.test(line) ? ['a word of the program'] : []),
    ...(HOLE.test(line) ? ['a hole'] : []),
    ...(SINGULAR.test(line) ? ['a plural of one'] : []),
    ...doubled.map((word) => `"${word}" twice`),
    ...backwards.map(([span]) => `"${span}" runs backwards`),
  ];
}
