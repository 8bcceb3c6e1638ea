import { messages } from '../messages';

export const t = messages('finds', {
  aNewFind: 'A new find',
  openingTheNotebook: 'Opening the notebook …',
  finds: 'Finds',
  pantry: 'Pantry',
  logbook: 'Logbook',
  nothingHasBeenFoundYet: 'Nothing has been found yet',
  aFindBeginsWithWhat: 'A find begins with what you believe it is.',
  collectedWalkedAwayFromOpen: (collected: number, left: number, count: number) =>
    `${collected} collected, ${left} walked away from, ${count} open.`,
});
