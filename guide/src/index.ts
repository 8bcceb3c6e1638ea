import { type Guide } from '@pause/core';
import { parseGuide } from '@pause/core/guide/parse';
import characters from '../data/characters.json';
import head from '../data/guide.json';
import { taxa } from './taxa';

/**
 * The guide that ships, parsed. General knowledge, reviewed by no local expert, and it says so.
 *
 * @throws GuideError naming taxon, character and reason, if one of its files holds a mistake
 */
export function shippedGuide(): Guide {
  return parseGuide({ ...head, characters, taxa });
}
