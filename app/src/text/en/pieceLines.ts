import { messages } from '../messages';

export const t = messages('pieceLines', {
  followedToItsRoot: 'Followed to its own root',
  growsAmongOthersFollowEach:
    'It grows among others. Follow each shoot down to the ground before you pick it; what cannot be followed is an odd one.',
  theGuideNamesNoLookalike:
    'The guide names no lookalike of it. Look at each piece all the same: what is not like the one you ' +
    'checked is an odd one.',
  couldLieAmongThemAnd: (list: string) => `Could lie among them, and is not in this guide at all: ${list}.`,
});
