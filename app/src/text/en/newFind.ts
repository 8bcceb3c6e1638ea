import { messages } from '../messages';

export const t = messages('newFind', {
  whatDoYouTakeIt: 'What do you take it for now?',
  aNewFind: 'A new find',
  openingTheNotebook: 'Opening the notebook …',
  oneOfThese: 'One of these?',
  foundBeforeOrAboutNow: 'Found before, or about now',
  aFungusAndBelowIts: 'A fungus, and below its cap',
  aPlant: 'A plant',
  where: 'Where?',
  whereInYourOwnWords: 'Where, in your own words',
  onlyForYourNotebookMay: 'Only for your notebook; may stay empty',
  inWhoseNotebook: 'In whose notebook?',
  mine: 'Mine',
  theGroupSeesTheFind:
    'The group sees the find and decides by its rules with you. Where it was stays with you until you say otherwise.',
  iHaveNoNameFor: 'I have no name for it yet',
  goOnAs: (typed: string) => `Go on as “${typed}”, which is not in the guide`,
  iThinkItIs: 'I think it is …',
  commonOrScientificName: 'Common or scientific name',
  taxaOfTheGuide: 'Taxa of the guide',
  notInThisGuide: 'Not in this guide',
  theGuideHoldsTaxaAnd: (count: number, shapeChosen: boolean) =>
    `The guide holds ${count} kinds, and this is none of them. What it does not know it cannot compare, so it is ` +
    'never collected. ' +
    (shapeChosen
      ? 'The find keeps this name.'
      : 'Choose the shape that it is nearest to, and the find keeps this name.'),
  showAllAgain: 'Show all again',
  theFormChosen: 'The form chosen',
  change: 'Change',
});
