/**
 * Pages of the notebook on a device: recorded without a connection, sent later, and merged with what
 * others recorded.
 */
import './guide';
import { currentFields, type PageEntry } from '@pause/core';
import type { Group } from '../src/notebook/api';
import { loadMe } from '../src/notebook/open';
import { beginPage, sight, changeGroup, changePage, withPending } from '../src/notebook/pages';
import { loadPages } from '../src/notebook/repository/pages';
import { flush } from '../src/notebook/send';
import { streamGrew, syncAll } from '../src/notebook/sync';
import { rig } from './rig';

const GROUP: Group = {
  id: 'walkers-one',
  name: 'Walkers',
  role: 'keeper',
  policy: { secondLookWhenUnreviewed: true, familyHint: false },
  members: [],
  former: [],
  reviews: [],
};

async function opened() {
  const it = rig();
  it.server.groups = [GROUP];
  await it.store.dispatch(loadMe());
  const page = (id: string) => it.store.getState().pages.all[id];
  return { ...it, page };
}

test('a place is begun, described and seen at without a connection, and goes when there is one', async () => {
  const { store, server, sent, page, waiting, atRest } = await opened();
  server.away = true;
  const id = (await store.dispatch(beginPage('place', { name: 'Lower wood', elevation: 640 })))!;
  expect(await store.dispatch(changePage(id, 'place', { name: 'Upper wood', elevation: null }))).toBe(true);
  expect(
    await store.dispatch(
      sight(id, { on: '2026-09-14', what: 'suspected', taxon: 'atropa-bella-donna' as never }),
    ),
  ).toBe(true);
  expect(currentFields(page(id)!, 'place')).toEqual({ name: 'Upper wood' });
  expect(page(id)!.sightings).toMatchObject([{ what: 'suspected', by: 'mirel' }]);
  expect(sent).toEqual([]);
  server.away = false;
  await store.dispatch(flush());
  await atRest();
  expect(sent.map(({ kind }) => kind)).toEqual([
    'pages',
    'fields',
    'fields',
    'fields',
    'fields',
    'sightings',
  ]);
  expect(await waiting()).toEqual([]);
  // As it is kept now, with nothing waiting.
  await store.dispatch(loadPages());
  expect(currentFields(page(id)!, 'place')).toEqual({ name: 'Upper wood' });
});

test('what the device does not take does not count', async () => {
  const { store, storage } = await opened();
  storage.full = true;
  expect(await store.dispatch(beginPage('walk', { name: 'Round the weir' }))).toBeUndefined();
  expect(store.getState().pages.all).toEqual({});
  expect(store.getState().outbox.notKept).toMatch(/full/);
});

test('a refused field is taken off the page again', async () => {
  const { store, server, page, atRest } = await opened();
  const id = (await store.dispatch(beginPage('place', { name: 'Lower wood' })))!;
  await atRest();
  server.refuse = 'fields';
  await store.dispatch(changePage(id, 'place', { name: 'Upper wood' }));
  await atRest();
  expect(currentFields(page(id)!, 'place')).toEqual({ name: 'Lower wood' });
  expect(store.getState().outbox.refused).toHaveLength(1);
});

test('what another device wrote on a page that is shown is shown at once', async () => {
  const { store, server, page, atRest } = await opened();
  const id = (await store.dispatch(beginPage('place', { name: 'Lower wood' })))!;
  await atRest();
  server.receive({
    kind: 'fields',
    page: id,
    body: {
      id: 'other-one',
      at: '2026-09-14T09:00:00.000Z',
      by: 'tam',
      of: 'place',
      field: 'moisture',
      value: 'wet',
    },
    stamp: '2026-09-14T09:00:00.000Z-0000-karrow',
  } as unknown as PageEntry);
  await store.dispatch(syncAll());
  expect(currentFields(page(id)!, 'place')).toEqual({ name: 'Lower wood', moisture: 'wet' });
});

test('only the stream that grew is fetched; all are, where rules changed or it is not known which', async () => {
  const { store, server, page, atRest } = await opened();
  const id = (await store.dispatch(beginPage('place', { name: 'Lower wood' })))!;
  await atRest();
  await store.dispatch(syncAll());
  let asked = 0;
  server.meanwhile = () => {
    asked += 1;
  };
  const record = (of: string, onPage: string, field: string, value: unknown, n: number) =>
    server.receive({
      kind: 'fields',
      page: onPage,
      body: { id: `other-${n}`, at: '2026-09-14T09:00:00.000Z', by: 'tam', of, field, value },
      stamp: `2026-09-14T09:00:0${n}.000Z-0000-karrow`,
    } as unknown as PageEntry);
  const grew = (last: number) => store.dispatch(streamGrew({ stream: 'p:mirel', last }));
  record('place', id, 'moisture', 'wet', 1);
  await grew(3);
  expect([currentFields(page(id)!, 'place'), asked]).toEqual([{ name: 'Lower wood', moisture: 'wet' }, 0]);
  // What is here already is not fetched again.
  await grew(1);
  expect(asked).toBe(0);
  record('group', GROUP.id, 'familyHint', true, 2);
  await grew(4);
  expect(asked).toBe(1);
  await store.dispatch(streamGrew());
  expect(asked).toBe(2);
});

test('pages of the group alone are not taken for all; the pages of another account are forgotten', async () => {
  const { store, server, page, atRest } = await opened();
  const id = (await store.dispatch(beginPage('eater', { name: 'Lune', cautions: ['child'] })))!;
  expect(store.getState().pages.status).toBe('idle');
  await store.dispatch(loadPages());
  expect(store.getState().pages.status).toBe('ready');
  await atRest();
  expect(page(id)).toBeDefined();
  server.who = 'jorun';
  await store.dispatch(syncAll());
  expect(store.getState().me.person?.id).toBe('jorun');
  expect(JSON.stringify(store.getState().pages)).not.toContain('Lune');
});

test('a keeper’s rule counts here at once, also while the server has not heard of it', async () => {
  const { store, server, owner, page } = await opened();
  server.away = true;
  expect(
    await store.dispatch(
      changeGroup(GROUP.id, { extraBars: { deadly: 1 }, familyHint: null, name: 'Karrow walkers' }),
    ),
  ).toBe(true);
  const here = () => store.getState().me.person!.groups[0]!;
  expect(here()).toMatchObject({
    name: 'Karrow walkers',
    policy: { secondLookWhenUnreviewed: true, extraBars: { deadly: 1 } },
  });
  expect(here().policy).not.toHaveProperty('familyHint');
  expect((await owner())?.groups[0]?.policy).toEqual(here().policy);
  expect(page(GROUP.id)!.changes.map(({ field }) => field)).toEqual(['extraBars', 'familyHint', 'name']);
  // The server still tells the old rules; what waits comes before them.
  expect(withPending([GROUP], store.getState().outbox.waiting)[0]).toEqual(here());
});
