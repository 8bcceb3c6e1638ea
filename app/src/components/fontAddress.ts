/** Where a font that ships with the application is, in a browser. */
export const fontAddress = (font: unknown): string =>
  typeof font === 'string' ? font : (font as { readonly uri: string }).uri;
