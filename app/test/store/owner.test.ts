/** Whose notebook a device keeps: nobody's account, one account, another. */
import '../guide';
import { read, startFind } from '../../src/notebook/actions';
import { loadMe } from '../../src/notebook/open';
import { openOutbox } from '../../src/notebook/outboxActions';
import { album, type Picture } from '../../src/notebook/pictures';
import { loadList } from '../../src/notebook/repository/finds';
import { syncAll } from '../../src/notebook/sync';
import { deleteAccount, signOut } from '../../src/screens/people/account';
import { rig } from '../rig';
import { START, started } from '../rig/started';

describe('whose it is', () => {
  test('without an account everything works and stays here; joined to one, it becomes its own and goes', async () => {
    const it = rig();
    it.server.signedIn = false;
    it.server.demo = false;
    await it.store.dispatch(loadMe());
    const before = it.store.getState().me.person!;
    expect(before).toMatchObject({ account: false, name: '' });
    const id = (await it.store.dispatch(startFind(START)))!;
    const piece = it.store.getState().finds[id]!.record!.pieces[0]!.id;
    await it.store.dispatch(
      read(id, { piece, character: 'hymenophore' as never, value: { kind: 'cant-tell' }, sureness: 'sure' }),
    );
    await it.store.dispatch(loadList());
    expect([it.sent.length, it.store.getState().list.items.length, it.store.getState().outbox.away]).toEqual([
      0,
      1,
      false,
    ]);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    await it.atRest();
    expect(it.store.getState().me.person).toMatchObject({ id: 'mirel', account: true });
    expect([
      (await it.waiting()).length,
      it.records.get(id)?.person,
      it.records.get(id)?.readings[0]?.by,
    ]).toEqual([0, 'mirel', 'mirel']);
    expect(it.store.getState().finds[id]?.record?.readings[0]?.by).toBe('mirel');
    expect(JSON.stringify(it.records.get(id))).not.toContain(before.id);
  });

  test('entries made while the notebook becomes an account’s are the account’s, and none is refused', async () => {
    for (const moment of ['before', 'meanwhile', 'during'] as const) {
      const it = rig();
      const begun: Promise<string | undefined>[] = [];
      const begin = async () => {
        begun.push(it.store.dispatch(startFind(START)));
        await new Promise((resolve) => setTimeout(resolve, 5));
      };
      if (moment === 'before') void begin();
      await it.atRest();
      if (moment === 'meanwhile') it.server.meanwhile = () => void begin();
      if (moment === 'during') it.beforeAnswer.push(begin);
      await it.store.dispatch(loadMe());
      const [id] = await Promise.all(begun);
      await it.atRest();
      const { refused, waiting } = it.store.getState().outbox;
      expect([moment, refused, waiting.length, (await it.waiting()).length]).toEqual([moment, [], 0, 0]);
      expect(it.records.get(id!)).toMatchObject({ person: 'mirel', targets: [{ taxon: START.target }] });
      expect(it.store.getState().finds[id!]?.record).toMatchObject({ person: 'mirel' });
    }
  });

  test('what another window recorded keeps a device from being emptied', async () => {
    const it = await started();
    const other = it.open();
    await other.dispatch(openOutbox());
    await other.dispatch(loadMe());
    it.server.away = true;
    await it.ridges();
    it.server.away = false;
    expect(await other.dispatch(signOut())).toMatchObject({
      ok: false,
      title: 'One entry waits to be sent. Sign out when they have gone.',
    });
    it.server.who = 'jorun';
    await other.dispatch(syncAll());
    expect([(await it.waiting()).length, other.getState().me.person?.id]).toEqual([1, 'mirel']);
  });

  test.each([
    ['signed out', () => signOut(), 'POST /auth/sign-out'],
    ['with the account gone', () => deleteAccount('Mirel Aschkar'), 'DELETE /me'],
  ] as const)(
    '%s nothing is left on the device, pictures too, and other windows hear of it',
    async (_, leave, wanted) => {
      const it = await started();
      await album.keep({ id: 'q1', find: it.id, recorded: true, sent: true } as unknown as Picture);
      const begin = jest.spyOn(console, 'error').mockImplementation(() => undefined);
      expect(await it.store.dispatch(leave())).toEqual({ ok: true });
      begin.mockRestore();
      expect([
        it.asked,
        await it.findsOnDevice(),
        await album.of(it.id),
        await it.owner(),
        await Promise.all(it.emptied),
      ]).toEqual([[wanted], 0, [], undefined, [[0, 0]]]);
    },
  );

  test('what another window tells in the moment of signing out stays, and waits for its account', async () => {
    const it = await started();
    const other = it.open();
    await other.dispatch(openOutbox());
    await other.dispatch(loadMe());
    it.server.meanwhile = () => {
      Object.assign(it.server, { meanwhile: undefined, signedIn: false });
      void it.ridges();
    };
    expect(await other.dispatch(signOut())).toMatchObject({
      ok: false,
      title: expect.stringContaining('it stays on this device') as string,
    });
    expect([
      (await it.waiting()).length,
      await it.findsOnDevice(),
      it.emptied,
      other.getState().me.signedOut,
    ]).toEqual([1, 1, [], true]);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    await it.atRest();
    expect([(await it.waiting()).length, it.records.get(it.id)?.readings.length]).toEqual([0, 1]);
  });

  test('another account on the device: the notebook before is removed, and other windows hear of it', async () => {
    const it = await started();
    it.server.who = 'jorun';
    await it.store.dispatch(syncAll());
    expect([
      it.store.getState().me.person?.id,
      await it.findsOnDevice(),
      await Promise.all(it.emptied),
    ]).toEqual(['jorun', 1, [[0, 0]]]);
  });

  test('signed out meanwhile, what is recorded waits, and is reported', async () => {
    const it = await started();
    it.server.signedIn = false;
    await it.ridges();
    await it.atRest();
    expect(it.store.getState().me.signedOut).toBe(true);
    expect(it.store.getState().outbox.waiting).toHaveLength(1);
    it.server.signedIn = true;
    await it.store.dispatch(syncAll());
    expect([it.store.getState().me.signedOut, (await it.waiting()).length]).toEqual([undefined, 0]);
  });

  test('another account does not get what still waits of this one, and else finds an empty device', async () => {
    const it = await started();
    it.server.away = true;
    await it.ridges();
    it.server.away = false;
    it.server.who = 'jorun';
    await it.store.dispatch(syncAll());
    expect(it.store.getState().me).toMatchObject({ signedOut: true, person: { id: 'mirel' } });
    expect(await it.waiting()).toHaveLength(1);
    it.server.who = 'mirel';
    await it.store.dispatch(syncAll());
    it.server.who = 'jorun';
    it.stream.length = 0;
    await it.store.dispatch(syncAll());
    expect([it.store.getState().me.person?.id, await it.findsOnDevice()]).toEqual(['jorun', 0]);
  });
});
