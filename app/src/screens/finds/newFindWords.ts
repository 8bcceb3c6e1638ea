/** Small pieces of a new find. */

export const withNote = (placeNote: string | undefined) => (placeNote ? { placeNote } : {});

/** So many of what was found before are offered again, and so many in all. */
export const AGAIN = 4;

export const QUICK = 6;
