import { z } from 'zod';
import { kindOfStates, statesCommon } from './ofStates';

/** Colours: states that are shown as swatches, and all go wrong in the same light. */
export const ColourCharacter = z.strictObject({ ...statesCommon, kind: z.literal('colour') });

export const colour = kindOfStates({ causes: ['colour'], drawn: false });
