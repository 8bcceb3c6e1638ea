import { messages } from '../messages';

export const t = messages('notebook', {
  storageIsFull: 'This device’s storage is full.',
  browserKeepsNothing: 'This browser does not let Pause keep anything.',
  serverDoesNotAnswer: 'The server does not answer.',
  answerBrokeOff: 'The server’s answer broke off.',
  answerIsNotJson: 'The server answered with something that is not JSON.',
  serverAnswered: (status: number) => `The server answered ${status}.`,
  answerIsNotKnown: 'The server answered with something that this Pause does not know.',
  notAnsweredForEveryEntry: 'The server did not answer for every entry.',
  pictureIsOnItsWay: 'This picture is still on its way.',
  notOnThisDevice: 'It is not on this device, and the server does not answer.',
  tooLargeToBeSent: 'It is too large to be sent: one megabyte at most.',
  serverDidNotSayWhy: 'The server did not say why.',
  entriesOfAnotherAccount: 'Entries of another account wait on this device.',
  aBatch: 'A batch',
  aPlaceOfTheGroup: 'A place of the group',
  aPlaceWithoutAName: 'A place without a name',
});
