import { messages, plural } from '../messages';

export const t = messages('strip', {
  stage: 'stage',
  condition: 'condition',
  part: 'part',
  use: 'use',
  permission: 'permission',
  whatSpoilsThePlace: 'what spoils the place',
  protection: 'protection',
  tracedToOneBase: 'followed to one root',
  stillOpenEachAloneKeeps: (list: string, count: number) =>
    `Still open: ${list}. ${plural(count, { one: 'That alone keeps', other: 'Each alone keeps' })} it at pause.`,
  allOfItAbout: (line: string, time: string) => `${line} All of it: about ${time}.`,
  whatIsDangerousIsRuled: (characterName: string) =>
    `What is dangerous is ruled out. Before the second looks: ${characterName}.`,
  dangerousOnesAreNotRuled: (number: string, length: number) =>
    `${number} ${plural(length, { one: 'dangerous one is', other: 'dangerous ones are' })} not ruled out yet.`,
  notRuledOutBrief: (count: number) => `${count} not ruled out yet`,
  marksMissingBrief: (count: number) =>
    `Dangers ruled out; ${count} ${plural(count, { one: 'sure sign', other: 'sure signs' })} to see`,
  fitBrief: (have: number, need: number) => `${have} of ${need} things fit so far`,
  nothingOnRecordSpeaksAgainst: 'Nothing on record speaks against collecting. You decide.',
  leaveIt: 'Leave it.',
  whatIsDangerousIsRuledOut: (count: number, number: string) =>
    `What is dangerous is ruled out. ` +
    `${plural(count, { one: 'One of its sure signs is', other: `${number} of its sure signs are` })} still to be seen.`,
  ofIndependentThingsFitSo: (have: number, need: number) =>
    `${have} of ${need} independent things fit so far.`,
  somethingIsMissing: 'Something is missing.',
});
