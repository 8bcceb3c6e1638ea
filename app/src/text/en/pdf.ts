import { messages } from '../messages';

export const t = messages('pdf', {
  pause: 'Pause',
  whatItWasTakenForIs:
    'What it was taken for is not what was eaten. Made by the people concerned, from what they saw; ' +
    'reviewed by no expert.',
});
