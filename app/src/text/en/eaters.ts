import { messages } from '../messages';

export const t = messages('eaters', {
  whatIsFineForThe:
    'What is fine for the one who picks may not be fine for the one who eats. This stays in your own ' +
    'notebook, in no group’s. Pause warns and refers to a pharmacist or doctor; it never prescribes.',
  nobodyYet: 'Nobody yet',
  putDownWhoEatsOr: 'Put down who eats or uses what you gather, and what each has to mind.',
  somebodyElse: 'Somebody else',
  whatYouCallThem: 'What you call them',
  putThemDown: 'Put them down',
  somebody: 'Somebody',
  notAtTheMoment: (name: string) => `${name}, not at the moment`,
  nothingToMind: 'nothing to mind',
  likes: (list: string) => `likes ${list}`,
  not: (list: string) => `not ${list}`,
  change: 'Change',
  doneWith: 'Done with',
  whetherEatsAlong: (name: string) => `Whether ${name} eats along`,
  eatsAlong: 'Eats along',
  hasToMind: 'Has to mind',
  whatHasToMind: (name: string) => `What ${name} has to mind`,
  likesField: 'Likes',
  whatLikes: (name: string) => `What ${name} likes`,
  doesNotLike: 'Does not like',
  whatDoesNotLike: (name: string) => `What ${name} does not like`,
  anythingElseHasToMind: (name: string) =>
    `Anything else ${name} has to mind: a medicine, an illness, an allergy`,
  mindIt: 'Mind it',
});
