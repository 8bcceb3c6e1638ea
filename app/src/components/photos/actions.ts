import { type Entry } from '@pause/core';
import { add, now } from '../../notebook/add';
import { newId, person } from '../../notebook/open';
import type { Picture } from '../../notebook/pictures';
import type { Thunk } from '../../notebook/store';
import { t } from '../../text/en/photos';

/**
 * Photos and sketches: kept on the device, put on record with the find, and sent when there is a connection.
 */

const TYPES = ['image/jpeg', 'image/png', 'image/webp', 'image/svg+xml'] as const;

/** SHA-256, by the browser where it lends it (not on pages that came without a lock). */
async function hashOf(bytes: Uint8Array<ArrayBuffer>): Promise<string> {
  if (!('subtle' in crypto)) return (await import('../../notebook/outside')).bytesHash(bytes);
  return [...new Uint8Array(await crypto.subtle.digest('SHA-256', bytes))]
    .map((byte) => byte.toString(16).padStart(2, '0'))
    .join('');
}

/** Keeps a picture, then puts it on record. Rejects where the device does not take it. */
export function keepPicture(
  picture: Pick<Picture, 'find' | 'kind' | 'character' | 'image' | 'place'>,
): Thunk<Promise<void>> {
  return async (dispatch, _, { album }) => {
    const { find, kind, character, image } = picture;
    const type = TYPES.find((one) => one === image.type) ?? 'image/jpeg';
    const bytes = new Uint8Array(await image.arrayBuffer());
    const [id, at, by] = [newId(), dispatch(now()), dispatch(person())];
    await (await album()).keep({ ...picture, id, at, by, recorded: true });
    const entry = {
      kind: 'pictures',
      find,
      body: {
        id,
        at,
        by,
        picture: kind,
        ...(character ? { character } : {}),
        type,
        size: bytes.length,
        content: await hashOf(bytes),
      },
    } as Entry;
    if (!(await dispatch(add(entry)))) {
      await (await album()).drop(id);
      throw new Error(t.notKept);
    }
  };
}

/** Takes a picture out again, here and everywhere. */
export function dropPicture({ id, find, recorded }: Picture): Thunk<Promise<void>> {
  return async (dispatch, _, { album }) => {
    await (await album()).drop(id);
    if (recorded)
      await dispatch(
        add({
          kind: 'drops',
          find,
          body: { id: newId(), at: dispatch(now()), by: dispatch(person()), picture: id },
        }),
      );
  };
}
