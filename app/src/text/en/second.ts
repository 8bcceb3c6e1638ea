import { messages, plural } from '../messages';

export const t = messages('second', {
  comparingWithTheGuide: 'Comparing with the guide …',
  nothingToLookAtA: 'Nothing to look at a second time yet',
  readWhatFillsTheBars:
    'Read what fills the bars first; then somebody else can read the same without knowing it.',
  goOnChecking: 'Go on checking',
  nameWhoeverStandsBesideYou: 'Name: whoever stands beside you',
  aSecondLook: 'A second look',
  whoeverYouAskSeesPhotos:
    'Whoever you ask sees photos, sketches and the plant, but neither the name nor what you read. Only ' +
    'afterwards both lie side by side.',
  whoLooks: 'Who looks?',
  somebodyBesideMe: 'Somebody beside me',
  whoStandsBesideYou: 'Who stands beside you?',
  somebodyElse: 'Somebody else',
  name: 'Name',
  youHandOverThePhone: 'You hand over the phone; the screen shows nothing of what you read.',
  theyAreAskedTheNext: 'They are asked the next time their phone has a connection.',
  atWhat: 'At what?',
  whatYourBarsStandOn: (time: string) => `What your bars rest on, and its sure signs. ${time} in all.`,
  chooseAtLeastOne: 'Choose at least one.',
  handOverThePhone: 'Hand over the phone',
  ask: 'Ask',
  theFinder: 'The finder',
  thankYouAllOfIt: 'Thank you: all of it is read',
  giveThePhoneBackNow: 'Give the phone back. Now both can lie side by side.',
  nowBothCanLieSide: 'Now both can lie side by side.',
  sideBySide: 'Side by side',
  nothingIsAskedOfYou: 'Nothing is asked of you here',
  orYouKnowTheAnswers: 'Or you know the answers by now.',
  openTheFind: 'Open the find',
  for: (who: string) => `For ${who}`,
  aSecondLookIsAsked: 'A second look is asked of you',
  handsYouThePhone: 'hands you the phone',
  asksYou: 'asks you',
  this: 'this',
  a: 'a',
  toLookAtThingsOn: (asker: string, text: string, count: number, text2: string, time: string) =>
    `${asker} ${text} to look at ${plural(count, { one: 'one thing', other: `${count} things` })} on ` +
    `${text2} specimen, and not to be told what it is taken for or what was read. ${time} or so.`,
  sayWhatYouSeeCant:
    'Say what you see. “Can’t tell” is an answer too. Nobody is right or wrong by it: where you differ, ' +
    'both look again together.',
  whatThereIsToSee: 'What there is to see',
  iHaveThePhone: 'I have the phone',
  begin: 'Begin',
  showMeEverythingInstead: 'Show me everything instead',
  thenYourLookIsNot: 'Then you know the answers, and your look counts as any other.',
  answersHidden: 'Answers hidden',
  left: (count: number) => plural(count, { one: 'the last one', other: `${count} left` }),
  theTwoOfYouOver: 'The two of you over time',
  kappaBetweenAndFromLooks: (
    agreement: string,
    number: string,
    number2: string,
    number3: string,
    looks: number,
  ) => `${agreement}: kappa ${number}, between ${number2} and ${number3}, from ${looks} looks.`,
  cohensKappa1IsAlways:
    'Cohen’s kappa: 1 is always the same, 0 what chance alone would do. Counted by whether a look fits, ' +
    'strains or speaks against what it was taken for.',
  alwaysSaidTheSame: (first: string, second: string, looks: number) =>
    `${first} and ${second} have looked at ${plural(looks, { one: 'one thing', other: `${looks} things` })} ` +
    `one after the other, and always said one and the same: that shows nothing yet.`,
  lookedAtTooFew: (first: string, second: string, looks: number, fewest: number) =>
    `${first} and ${second} have looked at ${plural(looks, { one: 'one thing', other: `${looks} things` })} ` +
    `one after the other; from ${fewest} on it can be said how well they agree.`,
  hardlyMoreOftenTheSame: 'Hardly more often the same than by chance',
  moreOftenTheSameThan: 'More often the same than by chance',
  mostlyTheSame: 'Mostly the same',
  nearlyAlwaysTheSame: 'Nearly always the same',
  agreementBetweenAndOnA: (number: string, number2: string, number3: string) =>
    `Agreement ${number}, between ${number2} and ${number3}, on a scale from chance to always`,
  chance: 'chance',
  alwaysTheSame: 'always the same',
  theSame: 'The same',
  partlyTheSame: 'Partly the same',
  notTheSame: 'Not the same',
  oneCouldNotTell: 'One could not tell',
  theSecondLookIsNot: 'The second look is not there yet',
  nobodyHasLookedAtIt: 'Nobody has looked at it without knowing the answers',
  itWillLieHereBeside: 'It will lie here beside yours as soon as it is.',
  theBestSecondLookComes: 'The best second look comes from somebody who does not know the answer.',
  askForOne: 'Ask for one',
  blind: (first: string, second: string) => `${first} · ${second}, answers hidden`,
  bothLooks: 'Both looks',
  whoseSecondLook: 'Whose second look',
  allWereSeenTheSame: (count: number) => `All ${count} were seen the same.`,
  someWereSeenTheSame: (same: number, all: number, otherwise: number, unsure: number) =>
    [
      `${same} of ${all} were seen the same`,
      otherwise > 0 ? `, ${otherwise} not` : '',
      unsure > 0 ? `; of ${unsure} one of the two could not tell` : '',
      '.',
    ].join(''),
  whereYouDifferNothingCounts:
    'Where you differ nothing counts any more, for either. Look at it together, at the same spot and in ' +
    'good light; and both of you say what you see. One of you alone settles nothing.',
  aSecondPersonsLookConfirms:
    'A second person’s look confirms; it never makes another bar of the same proof.',
  askSomebodyElseToo: 'Ask somebody else too',
  lookAtItTogether: 'Look at it together',
  howYouLookTogether: 'How you look together',
  isHereAndSaysIt: (name: string) => `${name} is here and says it on this device`,
  eachOfUsOnOur: 'Each of us on our own device',
  onTwoDevicesItIs: 'On two devices it is settled once both of you have looked again.',
});
