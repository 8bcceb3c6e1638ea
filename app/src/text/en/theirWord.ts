import { messages } from '../messages';

export const t = messages('theirWord', {
  theWordOf: (name: string) => `The word of ${name}`,
  nowGiveItTo: (name: string) => `Now give it to ${name}`,
  lookAtTheSameSpot: (name: string, seen: string) =>
    `${name}, look at the same spot. Seen here just now: ${seen}. Do you see it so too?`,
  iAmAndISee: (name: string) => `I am ${name}, and I see it so`,
  iAmAndISeeIt: (name: string) => `I am ${name}, and I see it otherwise`,
  backToTheQuestion: 'Back to the question',
});
