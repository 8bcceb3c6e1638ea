/** Clocks that are wrong. */
import '../guide';
import { startFind } from '../../src/notebook/actions';
import { loadMe } from '../../src/notebook/open';
import { syncAll } from '../../src/notebook/sync';
import { rig } from '../rig';
import { START, started } from '../rig/started';

describe('time', () => {
  test('a clock that is a day ahead is said, and the notebook’s time is reckoned with', async () => {
    const it = rig();
    it.server.demo = false;
    it.server.now = '2029-12-31T00:00:00.000Z';
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.clockOff).toBe(1440);
    it.server.now = '2030-01-01T00:01:00.000Z';
    await it.store.dispatch(syncAll());
    expect(it.store.getState().outbox.clockOff).toBe(0);
  });

  test('what this device tells is later than what it heard of, though its clock is behind', async () => {
    const it = await started();
    await it.hear('2026-09-14T08:10:00.000Z-0000-tollar');
    await it.ridges();
    expect(it.sent.at(-1)?.stamp).toMatch(/^2026-09-14T08:10:00.000Z-0001-/);
    // A stamp that lies years ahead is none to go on from.
    await it.hear('2031-01-01T00:00:00.000Z-0000-tollar');
    await it.ridges();
    expect(it.sent.at(-1)?.stamp).toMatch(/^2026-09-14T0/);
  });

  test('where this device’s clock is behind, what is recorded has the notebook’s time', async () => {
    const it = rig();
    it.server.demo = false;
    it.server.now = '2030-01-03T00:00:00.000Z';
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.clockOff).toBe(-2880);
    await it.store.dispatch(startFind(START));
    expect(it.sent[0]?.body).toMatchObject({
      startedAt: expect.stringMatching(/^2030-01-03T00:00/) as string,
    });
  });

  test('a newer guide at the server is said', async () => {
    const it = rig();
    it.server.guideVersion = 'f'.repeat(64);
    await it.store.dispatch(loadMe());
    expect(it.store.getState().outbox.otherGuide).toBe(true);
  });
});
