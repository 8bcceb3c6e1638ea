import { messages } from '../messages';

export const t = messages('card', {
  notInThisGuide: 'Not in this guide',
  thereIsNoCardOf: 'There is no card of what it does not know.',
  toTheGuide: 'To the guide',
  card: 'Card',
  back: 'Back',
  printIt: 'Print it',
  inTheGuide: '‹ In the guide',
  pocketCardOf: (name: string) => `Pocket card of ${name}`,
  allOfTheseMustBe: 'All of these must be seen:',
  drawn: (stageName: string) => `Drawn: ${stageName}`,
  threeProofsAgainstEachDeadly:
    'Three proofs against each deadly one, two against a serious one, one against an unpleasant one; seen ' +
    'by you, on this piece. In doubt, leave it. From general knowledge, reviewed by no local expert.',
  not: (characterName: string, words: string, words2: string) =>
    `□ ${characterName}: ${words}; not ${words2}`,
  nothingAlwaysPartsThemLeave: 'Nothing always parts them: leave it.',
  there: 'there',
});
