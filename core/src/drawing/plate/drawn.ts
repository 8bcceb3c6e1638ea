import type { CompiledGuide, Kingdom } from '../../guide';
import type { Individual } from '../build';
import { wholeFungus } from './fungus';
import { wholePlant } from './plant';
import { subjectOf } from './sketch';
import type { Whole } from './whole';

/** An individual as a whole, sketched in millimetres; with what is seen of it cut through, where that is wanted. */
export function drawnWhole(guide: CompiledGuide, one: Individual, kingdom: Kingdom, cutToo: boolean): Whole {
  const subject = subjectOf(guide, one);
  const { parts, sized } = kingdom === 'Fungi' ? wholeFungus(subject, cutToo) : wholePlant(subject);
  return { parts: parts.filter((part) => part.sketches.length > 0), sized };
}
