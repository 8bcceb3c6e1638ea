import { messages } from '../messages';

export const t = messages('sideBySide', {
  readSoAndItSpeaks: (name: string) => `Read so, and it speaks against ${name}`,
  readAndItDoesNot: (name: string) => `Read, and it does not speak against ${name}`,
  atThisStageTheGuide:
    'At this stage the guide names nothing that always parts them. That is a reason to leave it.',
  showMore: (number: string) => `Show ${number} more`,
  readOnThisFind: 'Read on this find',
  inAScaleOfItsOwn: (stage: string) => `${stage}, in a scale of its own`,
});
