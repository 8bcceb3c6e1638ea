import { messages } from '../messages';

export const t = messages('readBy', {
  whoReadIt: 'Who read it',
  onlyWhoeverWroteIt: 'Only whoever wrote it.',
  whatWasAskedOfIt: 'What was asked of it, and answered',
  taken: 'Taken. ',
  notTaken: 'Not taken. ',
  moreAnswers: (count: number) => `${count} more answers`,
});
