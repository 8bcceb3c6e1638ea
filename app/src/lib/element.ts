import type { View } from 'react-native';

/** A view as what it is in a browser; nothing before it is shown. */
export const elementOf = (view: View | null): HTMLElement | null =>
  view instanceof HTMLElement ? view : null;
