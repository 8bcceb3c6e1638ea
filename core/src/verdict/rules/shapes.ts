import { z } from 'zod';
import { CharacterId, TaxonId } from '../../guide';

/** Parameters that several reasons have. */

export const count = z.number().int().min(0).max(1000);
export const word = z.string().min(1).max(80);
export const sentence = z.string().max(2000);
export const taxa = z.array(TaxonId).max(400);
export const character = { character: CharacterId };
export const looks = { against: count, looks: count };
export const haveAndNeed = { have: count, need: count };
