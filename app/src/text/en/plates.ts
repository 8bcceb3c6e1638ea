import { messages } from '../messages';

export const t = messages('plates', {
  notToScale: 'not to scale',
  faintLeaf: 'faint: nothing is stated of its leaves',
  faintFruit: 'faint: nothing is stated of its fruits',
  nothingOfIt: 'Nothing of it',
});
