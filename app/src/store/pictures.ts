import type { Dexie, Table } from 'dexie';

/** A photo or a sketch of a find. Kept on this device, beside the find. */
export interface Picture {
  readonly id: string;
  readonly find: string;
  readonly kind: 'photo' | 'sketch';
  /** What was being looked at when it was made. */
  readonly character?: string;
  readonly at: string;
  readonly image: Blob;
  /** Where the camera says it was taken; only where the person wanted it kept. */
  readonly place?: { readonly latitude: number; readonly longitude: number };
}

type Album = Dexie & { readonly pictures: Table<Picture, string> };
let album: Promise<Album> | undefined;

/** What keeps pictures is fetched when the first one is wanted. */
function opened(): Promise<Album> {
  album ??= import('dexie').then(({ Dexie: Base }) => {
    const made = new Base('pause-pictures') as Album;
    made.version(1).stores({ pictures: 'id, find' });
    return made;
  });
  album.catch(() => { album = undefined; });
  return album;
}

export async function keepPicture(picture: Picture): Promise<void> {
  await (await opened()).pictures.add(picture);
}
export async function dropPicture(id: string): Promise<void> {
  await (await opened()).pictures.delete(id);
}
/** Pictures of a find, oldest first. */
export async function picturesOf(find: string): Promise<Picture[]> {
  const all = await (await opened()).pictures.where('find').equals(find).toArray();
  return all.sort((a, b) => (a.at < b.at ? -1 : 1));
}
