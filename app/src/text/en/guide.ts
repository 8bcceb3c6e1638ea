import { messages } from '../messages';

export const t = messages('guide', {
  all: 'All',
  wanted: 'Wanted',
  deadly: 'Deadly',
  serious: 'Serious',
  unpleasant: 'Unpleasant',
  theGuide: 'The guide',
  taxaGeneralKnowledgeReviewedBy: (count: number) =>
    `${count} kinds. General knowledge, reviewed by no local expert. What it does not name, it does not know.`,
  nameInAnyLanguage: 'Name, in any language',
  which: 'Which',
  toBeMetThisMonth: 'To be met this month',
  form: 'Form',
  one: 'One',
  ofThem: (text: string | number, text2: string) => `${text} of them${text2}`,
  showAll: 'Show all',
  noneLikeThat: 'None like that',
  nothingInThisGuideIs: 'Nothing in this guide is all of it. Take something back, or leave it standing.',
  isWanted: 'wanted',
});
