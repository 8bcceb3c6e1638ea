const SOON_MS = 100;

/**
 * As soon as what changed is on the screen, so that nothing keeps it waiting; where nothing is drawn,
 * soon.
 */
export function drawn(): Promise<void> {
  return new Promise((resolve) => {
    setTimeout(resolve, SOON_MS);
    // When the next frame begins, the one that shows it is out.
    requestAnimationFrame(() => {
      requestAnimationFrame(() => {
        setTimeout(resolve, 0);
      });
    });
  });
}

/** Lets the page take what waits, a tap or a frame, between two long pieces of work. */
export const breath = (): Promise<void> =>
  new Promise((resolve) => {
    setTimeout(resolve, 0);
  });

/** Resolves after so many milliseconds. */
export const after = (ms: number) =>
  new Promise<undefined>((resolve) => {
    setTimeout(() => resolve(undefined), ms);
  });
