import { messages, plural } from '../messages';

export const t = messages('people', {
  signOut: 'Sign out',
  deleteTheAccount: 'Delete the account',
  itIsConfirmedAlready: 'It is confirmed already',
  signInWithYourPassword: 'Sign in with your password.',
  signIn: 'Sign in',
  confirmYourEMailAddress: 'Confirm your e-mail address',
  didYouMakeTheAccount:
    'Did you make the account that the letter is about? Then confirm it: you are signed in, and what this ' +
    'device holds goes into your notebook.',
  itWasMeConfirm: 'It was me: confirm',
  itWasNotMe: 'It was not me',
  name: 'Name',
  rangeSeasonHabitat: 'Range, season, habitat',
  theFamilyAsAHint: 'The family as a hint',
  howItCameAbout: 'How it came about',
  recordedByOn: (name: string, day: string) => `${name}, ${day}`,
  recordedByOnAndChanged: (name: string, day: string) => `${name}, ${day}; something else was recorded since`,
  asTheGuideHasIt: 'as the guide has it',
  moreForWhatIs: (more: number, grade: string) => `${more} more for what is ${grade}`,
  whoBelongsToIt: 'Who belongs to it',
  members: 'Members',
  close: 'Close',
  change: 'Change',
  nameWithYou: (name: string) => `${name} (you)`,
  whatIs: (name: string) => `What ${name} is`,
  leaveTheGroup: 'Leave the group',
  takeOutOfTheGroup: (name: string) => `Take ${name} out of the group`,
  whatWasRecordedInThe: 'What was recorded in the group’s notebook stays in it.',
  belongedToItBefore: (list: string) => `Belonged to it before: ${list}.`,
  none: 'None.',
  showOnlyWhatIsChosen: 'Show only what is chosen',
  choose: 'Choose',
  whatItIsCalled: 'What it is called',
  nameOfTheGroup: 'Name of the group',
  callItSo: 'Call it so',
  itsRules: 'Its rules',
  theyCanOnlyMakeA:
    'They can only make a verdict stricter than the guide’s own, never laxer; every verdict says whose rules they are.',
  aKeeperOfTheGroup:
    'A keeper of the group chooses them. They can only make a verdict stricter, never laxer.',
  aSecondLook: 'A second look',
  aPersonWhoWasNot: 'A person who was not told the answer sees what one’s own eye has stopped looking for.',
  whereNoExpertReviewedA: 'Where no expert reviewed a deadly pair',
  forEverythingDeadly: 'For everything deadly',
  forEverythingSerious: 'For everything serious',
  earnedPairs: 'Pairs to be passed',
  whoHasPractisedAPair:
    'Who has practised a pair well, lately, and with nothing dangerous in between, misreads it less. It is ' +
    'asked of whoever decides, besides all bars.',
  withWhatIsDeadly: 'With what is deadly',
  withWhatIsSerious: 'With what is serious',
  barsAgainstWhatIsDeadly: 'Bars against what is deadly',
  threeAreProofAgainstAny:
    'Three are proof against any two mistakes; each one more against one mistake more.',
  bars: (text: number) => `${text} bars`,
  theySayWhatToExpect:
    'They say what to expect; but plants travel and seasons shift, so they never rule anything out.',
  orderAndRaiseDoubts: 'Order and raise doubts',
  leftOutAltogether: 'Left out altogether',
  knowingAFamilyHelpsTo: 'Knowing a family helps to name and to learn; rules of families have exceptions.',
  told: 'Told',
  eachByItself: 'Each by itself',
  leftAloneWhateverIsSeen: 'Left alone, whatever is seen',
  someEdibleOnesAreNot:
    'Some edible ones are not worth it: the lookalike is deadly, the difference fine, better food is near.',
  protectedWhereYouGather: 'Protected where you gather',
  asAKeeperFoundOut:
    'As a keeper found out for your places. The guide marks what is often protected; this is not the law, ' +
    'and laws change.',
  aSquareThatLeadsAnother: 'A square that leads another phone to this code',
  readItOutOrLet: 'Read it out, or let them photograph the square',
  itLetsOnePersonIn: 'It lets one person in, once, and is shown only now.',
  letSomebodyIn: 'Let somebody in',
  asWhat: 'As what',
  anotherCode: 'Another code',
  showACode: 'Show a code',
  aCodeThatNobodyUsed: (days: number) =>
    `A code that nobody used is worth nothing after ${days} days, or once you no longer keep the group.`,
  notUsedYet: 'Not used yet',
  codesThatNobodyHasUsed: 'Codes that nobody has used yet',
  takeBack: 'Take back',
  madeByGoodUntil: (memberName: string, day: string) => `Made by ${memberName}, good until ${day}`,
  openingTheNotebook: 'Opening the notebook …',
  thereIsNoSuchGroup: 'There is no such group',
  orYouDoNotBelong: 'Or you do not belong to it any more.',
  notebookAndPeople: 'Notebook and people',
  groupYouAre: (text: string) => `Group · you are ${text}`,
  codeTenLettersAndFigures: 'Code: ten letters and figures, as the keeper shows them',
  code: (title: string) => `Code: ${title}`,
  joinAGroup: 'Join a group',
  aKeeperOfTheGroupShows:
    'A keeper of the group shows you a code, or a square to photograph. It lets one person in, once.',
  codeField: 'Code',
  abcdeFghjk: 'ABCDE-FGHJK',
  join: 'Join',
  signInFirstOrMake: 'Sign in first, or make an account; then open this again.',
  simulatedMailbox: 'Simulated mailbox',
  thisIsTheDemoNo:
    'This is the demo: no letter leaves this machine. What a mail server would send lies here, for ' +
    'everybody who uses the demo.',
  thereIsNoSimulatedMailbox: 'There is no simulated mailbox here',
  itIsEmpty: 'It is empty',
  makeAnAccountOrAsk: 'Make an account, or ask for a new password: the letter comes here.',
  lookAgain: 'Look again',
  letters: 'Letters',
  to: (to: string) => `To ${to}`,
  openTheLink: 'Open the link',
  openTheLinkTo: (subject: string, to: string) => `Open the link: ${subject}, to ${to}`,
  yourAccount: 'Your account',
  takeEverythingAlong: 'Take everything along',
  aFileWithAllYou:
    'A file with all you ever told, in an open form. Signing out leaves nothing of the notebook on this device.',
  signOutEverywhere: 'Sign out everywhere',
  whereYouAreSignedIn: 'Where you are signed in',
  signOutThere: 'Sign out there',
  signOutThereOn: (device: string) => `Sign out there: ${device}`,
  thisDevice: (device: string) => `${device} (here)`,
  since: (day: string) => `Since ${day}`,
  sinceAndUsed: (since: string, used: string) => `Since ${since}; used ${used}`,
  yourOwnNotebookIsDeleted:
    'Your own notebook is deleted with it, for good. What you recorded in the notebooks of groups stays ' +
    'there, without your name.',
  writeYourNameToSay: 'Write your name to say that you mean it',
  yourPassword: 'Your password',
  deleteItForGood: 'Delete it for good',
  aPageOfTheNotebook: 'A page of the notebook',
  aFindWithoutAName: 'A find without a name yet',
  photosAndSketchesAreOn: (left: number, number: number) =>
    `Photos and sketches are on their way: ${left} left, ${number} % of this one has gone.`,
  theNotebookIsBeingFetched: (here: number, all: number) =>
    `The notebook is being fetched: ${here} of ${all} entries are here.`,
  thisDevicesClockIsWrong:
    'This device’s clock is wrong. New entries get the time of the notebook; earlier ones are ordered by ' +
    'when they arrived. Set the clock right.',
  somebodyRecordedSomethingWithA:
    'Somebody recorded something with a newer Pause. It waits at the server; open the newer Pause on this ' +
    'device, and it will be here.',
  theServerDecidesByAnother:
    'The server decides by another version of the guide. Verdicts made here are reached again there, and ' +
    'where they differ both are shown.',
  whatOthersRecordedCouldNot: (notTaken: string) =>
    `What others recorded could not be kept here. ${notTaken} Make room on the device; what you recorded ` +
    `yourself is safe.`,
  onThisDevice: 'On this device',
  everythingRecordedHereIsAt: 'Everything recorded here is at the server',
  entriesWaitToBeSent: (count: number) =>
    plural(count, { one: 'One entry waits to be sent', other: `${count} entries wait to be sent` }),
  entriesToBeSentWhen: (count: number) =>
    `${count} ${plural(count, { one: 'entry', other: 'entries' })}, to be sent when somebody signs in.`,
  thereIsNoConnectionAll:
    'There is no connection. All of it is kept on this device, and tried again every few seconds.',
  theServerWasLastHeard: (day: string) => `The server was last heard of ${day}.`,
  theServerHasNotBeen: 'The server has not been heard of yet.',
  whatWaits: 'What waits',
  entries: (count: number) => `${count} entries`,
  whatWasRefused: 'What was refused',
  refused: 'Refused',
  of: (kind: string, name: string, reason: string) => `${kind} of ${name}: ${reason}`,
  lookNow: 'Look now',
  sNotebook: (name: string) => `${name}’s notebook.`,
  isSignedOutWhatYou: (name: string) =>
    `${name} is signed out. What you record stays on this device until you sign in again.`,
  nobodyIsSignedInEverything:
    'Nobody is signed in. Everything you record is on this device, and nowhere else: if it is lost, so is ' +
    'the notebook.',
  signInAgain: 'Sign in again',
  signInOrMakeAn: 'Sign in, or make an account',
  nameOfTheGroupIt: 'Name of the group: it is missing',
  groups: 'Groups',
  aGroupKeepsOneNotebook: 'A group keeps one notebook. The best safeguard there is are other eyes.',
  yourGroups: 'Your groups',
  peopleYouAre: (count: number, text: string) =>
    `${plural(count, { one: 'You alone', other: `${count} people` })} · you are ${text}`,
  youBelongToNoneYet: 'You belong to none yet.',
  joinByACode: 'Join by a code',
  beginAGroup: 'Begin a group',
  beginIt: 'Begin it',
  lookIntoYourMail: 'Look into your mail',
  aLetterIsOnIts: (to: string, then: string) => `A letter is on its way to ${to}. ${then}`,
  inThisDemoNothingIs: 'In this demo nothing is really sent: the letter lies in a simulated mailbox.',
  ifNothingComesWithinSome:
    'If nothing comes within some minutes, look among what your mail program took for unwanted.',
  openTheSimulatedMailbox: 'Open the simulated mailbox',
  backToSigningIn: 'Back to signing in',
  eMailAddress: (title: string) => `E-mail address: ${title}`,
  ifAnAccountHasThat: (trim: string) => `${trim}, if an account has that address`,
  itsLinkLetsYouChoose: 'Its link lets you choose a new password; it is good for one hour.',
  aNewPassword: 'A new password',
  weSendALetterWith:
    'We send a letter with a link to the address of your account. Until you use it, the old password holds.',
  eMailAddressField: 'E-mail address',
  sendTheLetter: 'Send the letter',
  passwordAtLeastCharacters: (password: number) => `Password: at least ${password} characters`,
  password: (title: string) => `Password: ${title}`,
  theNewPasswordHolds: 'The new password holds',
  youAreSignedOutOn: 'You are signed out on every device. Sign in with the new password.',
  chooseANewPassword: 'Choose a new password',
  newPassword: 'New password',
  atLeastCharactersASentence: (password: number) => `At least ${password} characters; a sentence is good`,
  askForAnotherLetter: 'Ask for another letter',
  keepThisPassword: 'Keep this password',
  thisIsSNotebook: (name: string) => `This is ${name}’s notebook`,
  whoeverElseWantsToUse: 'Whoever else wants to use this device signs out first.',
  openTheLinkInIt:
    'Open the link in it to confirm the address; then you are signed in. Signing in sends the letter again.',
  oneNotebookOnEveryDevice: 'One notebook, on every device',
  withoutAnAccountEverythingWorks:
    'Without an account everything works, on this device alone. With one it is kept at the server too, and ' +
    'you can share a notebook with a group.',
  account: 'Account',
  iHaveAnAccount: 'I have an account',
  iAmNewHere: 'I am new here',
  nameHowOthersOfA: 'Name: how others of a group will see you',
  asOthersOfAGroup: 'As others of a group will see you',
  eMailAddressItIs: 'E-mail address: it is missing',
  aLetterGoesToIt: 'A letter goes to it to confirm it, or when you need a new password',
  nothingIsEverSentTo: 'Nothing is ever sent to it',
  atLeastCharacters: (password: number) => `at least ${password} characters`,
  itIsMissing: 'it is missing',
  passwordProblem: (text: string) => `Password: ${text}`,
  passwordField: 'Password',
  makeTheAccount: 'Make the account',
  iForgotThePassword: 'I forgot the password',
  theFindsOnThisDevice: (here: number) =>
    `${plural(here, { one: 'The find', other: `The ${here} finds` })} on this device will be in your notebook then.`,
  goOnWithoutAnAccount: 'Go on without an account',
  reviewedInYourGroups: 'Reviewed in your groups',
  theGuideSaysSomethingElse:
    'The guide says something else by now, so the signature does not count any more.',
  signedBy: (name: string, memberName: string, day: string) => `${name}: signed by ${memberName}, ${day}.`,
  nobodyHasSignedItWhere: (name: string) =>
    `${name}: nobody has signed it. Where a deadly pair is not reviewed, a second look is asked for.`,
  takeTheSignatureBack: 'Take the signature back',
  signItAsReviewed: 'Sign it as reviewed',
  youSayThatYouKnow:
    'You say that you know this taxon here, and that everything above is right as far as it goes. The ' +
    'signature is bound to what it says today.',
  byWhatInYourWords: 'By what, in your words',
  whichBooksWhichYearsWhich: 'Which books, which years, which places',
  signIt: 'Sign it',
  ruleIsOn: 'yes',
  ruleIsOff: 'no',
  emptyList: 'none',
  demoIsMadeUp: 'This is the demo: the Ostrel valley and everyone in it are made up.',
});
