import { randomUUID } from 'node:crypto';
import { type Someone } from '../server/test/people';

export const ago = (minutes: number) => new Date(Date.now() - minutes * 60_000).toISOString();
export const newFind = (who: Someone, more: object = {}) => {
  const id = randomUUID();
  return {
    find: id,
    kind: 'finds',
    body: { id, startedAt: ago(60), kingdom: 'Fungi', person: who.id, ...more },
  };
};

export const note = (find: string, who: Someone, value = 'Damp.', more: object = {}) => ({
  find,
  kind: 'edits',
  body: { id: randomUUID(), at: ago(5), by: who.id, field: 'note', value },
  ...more,
});
