import type { Character } from './kinds';

/** Whether it is smelled. */
export function isSmelled({ organ, observe }: Pick<Character, 'organ' | 'observe'>): boolean {
  return organ === 'smell' || observe === 'crush-and-smell';
}
