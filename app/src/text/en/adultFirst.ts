import { messages } from '../messages';

export const t = messages('adultFirst', {
  thisOneIsForAnAdult: 'This one is for an adult',
  itTouches: (name: string) =>
    `Next comes: ${name}. It is touched for that, and it may still be something that harms the skin. Hands off, and ` +
    'call an adult.',
  itCuts: (name: string) =>
    `Next comes: ${name}. That takes a knife, or costs a piece of it. Call an adult, who makes it.`,
  anAdultIsHere: 'An adult is here and makes it',
  onlyLook: 'Only look',
});
