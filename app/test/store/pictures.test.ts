/** Photos and sketches, on the device and on their way to the server. */
import '../guide';
import { Blob as WholeBlob } from 'node:buffer';
import type { Entry } from '@pause/core';
import { dropPicture, keepPicture } from '../../src/components/photos/actions';
import { loadPictures } from '../../src/notebook/loadPictures';
import { album } from '../../src/notebook/pictures';
import { sendPictures } from '../../src/notebook/send';
import { syncAll } from '../../src/notebook/sync';
import { until } from '../rig';
import { started } from '../rig/started';

describe('photos and sketches', () => {
  beforeEach(() => album.clear());

  // The browser's own; this one cannot be read.
  const blob = (parts: (string | Uint8Array)[], type: string) =>
    new WholeBlob(parts, { type }) as unknown as Blob;
  const photo = (size: number) => blob([new Uint8Array(size).map((_, n) => n % 251)], 'image/jpeg');

  test('are kept, put on record, sent in parts, and go on where the connection broke off', async () => {
    const it = await started();
    it.server.partsLeft = 1;
    await it.store.dispatch(keepPicture({ find: it.id, kind: 'photo', image: photo(300_000) }));
    const [made] = it.records.get(it.id)!.pictures;
    await until(() => it.server.away);
    expect(made).toMatchObject({
      picture: 'photo',
      type: 'image/jpeg',
      size: 300_000,
      content: expect.stringMatching(/^[0-9a-f]{64}$/) as string,
    });
    expect(it.bytes.get(made!.id)).toHaveLength(131_072);
    it.server.partsLeft = Infinity;
    it.server.away = false;
    await it.store.dispatch(sendPictures());
    expect(it.bytes.get(made!.id)).toHaveLength(300_000);
    expect(it.parts.map(([, from]) => from)).toEqual([0, 131_072, 262_144]);
    expect(await album.of(it.id)).toMatchObject([{ id: made!.id, sent: true }]);
    expect(it.store.getState().outbox.pictures).toBeUndefined();
    // All of it has gone: nothing is sent again.
    await it.store.dispatch(sendPictures());
    expect(it.parts).toHaveLength(3);
  });

  test('of others come when they are wanted, and stay; one on its way is left for another time', async () => {
    const it = await started();
    const tell = (id: string) =>
      it.server.receive({
        find: it.id,
        kind: 'pictures',
        body: {
          id,
          at: '2026-09-14T08:00:01.000Z',
          by: 'jorun',
          picture: 'photo',
          type: 'image/jpeg',
          size: 3,
          content: 'a'.repeat(64),
        },
      } as unknown as Entry);
    tell('picture-here');
    tell('picture-coming');
    it.bytes.set('picture-here', [1, 2, 3]);
    await it.store.dispatch(syncAll());
    const shown: string[][] = [];
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.map((p) => p.id));
      }),
    );
    expect(shown).toEqual([[], ['picture-here']]);
    it.server.away = true;
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.map((p) => p.id));
      }),
    );
    expect(shown.at(-1)).toEqual(['picture-here']);
  });

  test('taken out again are gone here and on record', async () => {
    const it = await started();
    await it.store.dispatch(
      keepPicture({ find: it.id, kind: 'sketch', image: blob(['<svg/>'], 'image/svg+xml') }),
    );
    await it.atRest();
    const [picture] = await album.of(it.id);
    await it.store.dispatch(dropPicture(picture!));
    await it.atRest();
    expect(await album.of(it.id)).toEqual([]);
    expect(it.records.get(it.id)?.drops.map((d) => d.picture)).toEqual([picture!.id]);
    const shown: number[] = [];
    await it.store.dispatch(
      loadPictures(it.id, (all) => {
        shown.push(all.length);
      }),
    );
    expect(shown).toEqual([0]);
  });

  test('that the device does not take are not recorded', async () => {
    const it = await started();
    it.storage.full = true;
    await expect(
      it.store.dispatch(keepPicture({ find: it.id, kind: 'photo', image: photo(10) })),
    ).rejects.toThrow();
    expect([await album.of(it.id), it.find().record?.pictures]).toEqual([[], []]);
  });
});
