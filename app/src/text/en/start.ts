import { messages } from '../messages';

export const t = messages('start', {
  whomToCall: 'Whom to call',
  ifSomebodyEatsTheWrong: 'If somebody eats the wrong thing',
  putInTheNumberOf:
    'Put in the number of your poison service now. It will stand first on “Poisoning”, also without a connection.',
  done: 'Done',
  notNow: 'Not now',
  beforeYouPickIt: 'Before you pick it',
  sayWhatYouBelieveIt:
    'Say what you believe it is. Pause asks for what would tell it from everything dangerous that looks like it.',
  aNewFind: 'A new find',
  ifSomebodyEatsTheWrongThing: 'If somebody eats the wrong thing, whom do you call?',
  putInTheNumbers: 'Put in the numbers',
  sNotebook: (name: string) => `${name}’s notebook`,
  theNotebookOfThisDevice: 'The notebook of this device',
  demoTheOstrelValleyAnd: 'demo: the Ostrel valley and everyone in it are made up',
  withoutAConnectionAsThis: 'without a connection, as this device knows it',
  openingTheNotebook: 'Opening the notebook …',
  goingOn: 'Going on',
  findsThatAreNotDecided: 'Finds that are not decided',
  foundLately: 'Found lately',
  findsDecidedLately: 'Finds decided lately',
  nothingHasBeenFoundYet: 'Nothing has been found yet',
  whatYouCheckWillStand: 'What you check will stand here.',
  pantry: 'Pantry',
  practice: 'Practice',
  notebookAndPeople: 'Notebook and people',
  howItLooksHere: 'How it looks here',
  pauseNeverSaysThatAnything: (count: number) =>
    `Pause never says that anything is safe. Its guide covers ${count} kinds; it is general knowledge, and ` +
    `no local expert has reviewed it. Ask the owner, the law of the place, and someone who knows.`,
  due: 'Due',
  aWalk: 'A walk',
  aBatch: 'A batch',
  beingMade: 'being made',
  aboutNow: 'About this month',
  byTheGuideNotSeen: 'Usual by the guide; nobody has seen it for you.',
});
