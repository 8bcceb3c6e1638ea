import { z } from 'zod';
import { kindOfStates, statesCommon } from './ofStates';

/** Characters whose answers are drawn states: a shape, an edge, a surface. */
export const StatesCharacter = z.strictObject({ ...statesCommon, kind: z.literal('states') });

export const states = kindOfStates({ causes: [], drawn: true });
