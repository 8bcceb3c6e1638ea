import { messages } from '../messages';

export const t = messages('findLine', {
  askedOfYouASecond: 'Asked of you: a second look',
  noNameYet: 'No name yet',
  notInTheGuide: (typed: string) => `“${typed}”, not in the guide`,
  blind: 'Answers hidden',
  differs: 'Differs',
  notDecided: 'Not decided',
  secondLookIsHere: 'Second look is here',
  inCheck: 'In check',
});
