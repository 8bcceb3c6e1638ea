import { messages } from '../messages';

export const t = messages('sketch', {
  throwAway: 'Throw away',
  keepIt: 'Keep it',
  overTheLastPhoto: 'Over the last photo',
  paperToDrawOn: 'Paper to draw on',
  undo: 'Undo',
});
