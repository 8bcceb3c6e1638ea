import { harmlessFirst, type CompiledGuide, type ObservationMethod } from '../../guide';
import { rate, type Check } from './check';

/** How near somebody has to come to look at something: from a step away until it is out of the ground. */
const NEAR: Readonly<Record<ObservationMethod, number>> = {
  look: 1,
  touch: 2,
  rub: 2,
  water: 2,
  measure: 2,
  'crush-and-smell': 3,
  snap: 3,
  cut: 3,
  wait: 3,
  dig: 4,
  print: 5,
};

/** Organs that are seen from a step away. */
const FAR: ReadonlySet<string> = new Set(['habit', 'place']);

function nearness(guide: CompiledGuide, { character: id }: Check): number {
  const known = guide.character(id)?.character;
  if (!known) return 0;
  const { organ, observe } = known;
  return FAR.has(organ) && (observe === 'look' || observe === 'measure') ? 0 : NEAR[observe];
}

/** What brings less than this share of what the best check brings, for what it takes, is no early look. */
const EARLY = 0.3;

/**
 * The order of somebody who walks up to a plant: of the checks that will all be made, first what is seen from
 * a step away, then near, then what is touched, cut and dug. The others follow as they are. What costs a piece of
 * the specimen still waits for what is harmless and would bring as much.
 *
 * @param checks best first
 * @param willBeMade whether a check is one of those that together bring all that is missing
 */
export function fromAfar(
  guide: CompiledGuide,
  checks: readonly Check[],
  willBeMade: (c: Check) => boolean,
): Check[] {
  const best = Math.max(0, ...checks.map(rate));
  const isEarly = (c: Check) => willBeMade(c) && rate(c) >= EARLY * best;
  const early = checks
    .filter(isEarly)
    .map((c) => ({ c, near: nearness(guide, c) }))
    .sort((a, b) => a.near - b.near)
    .map(({ c }) => c);
  return harmlessFirst([...early, ...checks.filter((c) => !isEarly(c))], (c) => c.gain);
}
