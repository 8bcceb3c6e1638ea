import type { CompiledGuide, Kingdom } from '../../guide';
import type { Individual } from '../build';
import { wholeFungus } from './fungus';
import { wholePlant } from './plant';
import { subjectOf } from './sketch';
import type { Whole } from './whole';

interface Drawn {
  readonly one: Individual;
  readonly kingdom: Kingdom;
  /** What belongs to it at this stage and is not stated is a faint outline; without a stage it is left out. */
  readonly stage?: string;
  /** Whether it is also seen cut through. */
  readonly cut: boolean;
}

/** An individual as a whole, sketched in millimetres. */
export function drawnWhole(guide: CompiledGuide, { one, kingdom, stage, cut }: Drawn): Whole {
  const subject = subjectOf(guide, one);
  const whole = kingdom === 'Fungi' ? wholeFungus(subject, cut) : wholePlant(subject, stage);
  return { ...whole, parts: whole.parts.filter((part) => part.sketches.length > 0) };
}
