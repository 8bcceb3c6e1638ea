import 'fake-indexeddb/auto';
import { Dexie } from 'dexie';
import { album } from '../../src/notebook/pictures';

test('pictures that an earlier version put on record are still to be sent', async () => {
  const earlier = new Dexie('pause-pictures');
  earlier.version(1).stores({ pictures: 'id, find' });
  await earlier.table('pictures').bulkPut([
    { id: 'recorded', find: 'find-one', at: '2026-09-14T08:00:00.000Z', told: true },
    { id: 'only-here', find: 'find-one', at: '2026-09-14T08:01:00.000Z' },
  ]);
  earlier.close();
  expect((await album.unsent()).map(({ id }) => id)).toEqual(['recorded']);
  const kept = await album.of('find-one');
  expect(kept.map(({ id }) => id)).toEqual(['recorded', 'only-here']);
  expect(kept[0]).not.toHaveProperty('told');
});
