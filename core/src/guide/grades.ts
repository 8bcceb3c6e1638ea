import type { HarmGrade } from './ids';

/** From what does no harm to what kills. */
export const GRADES: readonly HarmGrade[] = ['none', 'unpleasant', 'serious', 'deadly'];
