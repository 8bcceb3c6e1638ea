import { messages } from '../messages';

export const t = messages('plates', {
  notToScale: 'not to scale',
  nothingOfIt: 'Nothing of it',
});
