import type { Picture } from './pictures';
import { currentFind } from './repository/finds';
import type { Thunk } from './store';

/**
 * Tells of the pictures of a find that are here at once, then of those that others made, one by one as they
 * come; these are kept too.
 *
 * @returns whether all that are on record are here
 */
export function loadPictures(
  find: string,
  show: (pictures: readonly Picture[]) => void,
): Thunk<Promise<boolean>> {
  return async (dispatch, _, { album, api }) => {
    const held = await album();
    const record = await dispatch(currentFind(find));
    const dropped = new Set(record?.drops.map((drop) => drop.picture));
    let all = (await held.of(find)).filter(({ id }) => !dropped.has(id));
    let whole = true;
    show(all);
    for (const { id, at, by, picture, character } of record?.pictures ?? []) {
      if (dropped.has(id) || all.some((one) => one.id === id)) continue;
      const image = await api.picture(id).catch(() => undefined);
      if (!image) {
        whole = false;
        continue;
      }
      const one: Picture = {
        id,
        find,
        kind: picture,
        at,
        by,
        image,
        recorded: true,
        sent: true,
        ...(character ? { character } : {}),
      };
      await held.keep(one);
      all = [...all, one].sort((a, b) => (a.at < b.at ? -1 : 1));
      show(all);
    }
    return whole;
  };
}

const AGAIN_MS = 5000;

/** The same, again as long as one is still on its way from another device. @returns what ends it */
export function followPictures(
  find: string,
  show: (pictures: readonly Picture[] | undefined) => void,
): Thunk<() => void> {
  return (dispatch) => {
    let ended = false;
    let later: ReturnType<typeof setTimeout> | undefined;
    const look = () => {
      dispatch(
        loadPictures(find, (all) => {
          if (!ended) show(all);
        }),
      ).then(
        (whole) => {
          if (!whole && !ended) later = setTimeout(look, AGAIN_MS);
        },
        () => {
          if (!ended) show(undefined);
        },
      );
    };
    look();
    return () => {
      ended = true;
      clearTimeout(later);
    };
  };
}
