import type { Dexie, Table } from 'dexie';
import type { CharacterId } from '@pause/core';

/** A photo or a sketch of a find. */
export interface Picture {
  readonly id: string;
  readonly find: string;
  readonly kind: 'photo' | 'sketch';
  /** What was being looked at when it was made. */
  readonly character?: CharacterId;
  readonly at: string;
  readonly image: Blob;
  /** Who made it; left out: whoever holds this device. */
  readonly by?: string;
  /** It is on record with the find, and its bytes are to go to the server; and whether they all have. */
  readonly recorded?: boolean;
  readonly sent?: boolean;
  /** Where the camera says it was taken; only where the person wanted it kept. */
  readonly place?: { readonly latitude: number; readonly longitude: number };
}

type Holding = Dexie & { readonly pictures: Table<Picture, string> };
let holding: Promise<Holding> | undefined;

/** What keeps pictures is fetched when the first one is wanted. */
function opened(): Promise<Holding> {
  holding ??= import('dexie').then(({ Dexie: Base }) => {
    const made = new Base('pause-pictures') as Holding;
    made.version(1).stores({ pictures: 'id, find' });
    made
      .version(2)
      .stores({ pictures: 'id, find' })
      .upgrade(async (all) => {
        await all
          .table('pictures')
          .toCollection()
          .modify((picture: Record<string, unknown>) => {
            if ('told' in picture) picture.recorded = picture.told;
            delete picture.told;
          });
      });
    return made;
  });
  holding.catch(() => {
    holding = undefined;
  });
  return holding;
}

/**
 * Photos and sketches on this device, in a database of their own: they are large, and nothing is decided by
 * them.
 */
export interface Album {
  keep(picture: Picture): Promise<void>;
  drop(id: string): Promise<void>;
  /** Of a find, oldest first. */
  of(find: string): Promise<Picture[]>;
  /** Those that are on record and whose bytes have not all gone yet. */
  unsent(): Promise<Picture[]>;
  markSent(id: string): Promise<void>;
  clear(): Promise<void>;
}

export const album: Album = {
  keep: async (picture) => {
    await (await opened()).pictures.put(picture);
  },
  drop: async (id) => (await opened()).pictures.delete(id),
  of: async (find) => {
    const all = await (await opened()).pictures.where('find').equals(find).toArray();
    return all.sort((a, b) => (a.at < b.at ? -1 : 1));
  },
  unsent: async () =>
    (await opened()).pictures
      .filter((picture) => picture.recorded === true && picture.sent !== true)
      .toArray(),
  markSent: async (id) => {
    await (await opened()).pictures.update(id, { sent: true });
  },
  clear: async () => (await opened()).pictures.clear(),
};
