import { messages } from '../messages';

export const t = messages('digging', {
  mayOneBeDugUp: 'May one be dug up for looking?',
  onlyWhereOwnerAndLaw: 'Only where owner and law allow it, and ten or more stand there.',
});
