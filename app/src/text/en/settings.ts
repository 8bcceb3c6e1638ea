import { messages } from '../messages';

export const t = messages('settings', {
  asUsual: 'As usual',
  larger: 'Larger',
  large: 'Large',
  twice: 'Twice',
  howItLooksHere: 'How it looks here',
  light: 'Light',
  dimKeepsYourEyesUsed:
    'Dim keeps your eyes used to the dusk. Colours are judged by daylight, whatever the screen looks like.',
  byDay: 'By day',
  dimForDusk: 'Dim, for dusk',
  sizeOfTheText: 'Size of the text',
  theHandThatHoldsThe: 'The hand that holds the phone',
  right: 'Right',
  left: 'Left',
  whoGathersWithIt: 'Who gathers with it',
  aChildGathersWithAn: 'A child gathers with an adult: then collecting waits for an adult’s word.',
  anAdult: 'An adult',
  aChild: 'A child',
  rulerOnTheScreen: 'Ruler on the screen',
  notSetYetLayA: 'Not set yet. Lay a bank or library card on the screen once; then it can measure.',
  setForThisScreenSet: 'Set for this screen. Set it again after changing the zoom of the browser.',
  setItWithACard: 'Set it with a card',
  setItAgain: 'Set it again',
  keptOnThisDeviceOnly: 'Kept on this device only.',
});
