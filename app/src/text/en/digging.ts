import { messages } from '../messages';

export const t = messages('digging', {
  mayOneBeDugUp: 'May one be dug up for looking?',
  itsRootWouldTellMore: 'Its root would tell more.',
  beforeYouDig: 'Before you dig',
  itDoesNotSurvive:
    'Whatever is dug up for looking does not survive it. First the owner, the law and the patch.',
  howManyStandHere: 'How many stand here?',
  fewerThanTen: 'Fewer than ten',
  tens: 'Tens',
  hundreds: 'Hundreds',
  thousands: 'Thousands',
  doesThePatchBearIt: 'Does the patch bear it?',
  itThrives: 'Yes, it thrives',
  itIsThin: 'No, it is thin or was dug before',
  yourOwnSteps: 'Your own steps',
  onlyWhere: 'Only where owner and law allow it, ten or more stand there, and the patch thrives.',
  digOneUp: 'Dig one up',
  nothingIsDug: 'Nothing is dug up',
});
