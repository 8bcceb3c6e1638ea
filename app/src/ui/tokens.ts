/** The few values that the look is made of. */

export const colour = {
  ground: '#EEF1EC',
  card: '#FFFFFF',
  ink: '#14201B',
  inkSoft: '#46534C',
  line: '#C9D1C9',
  /** Of drawings: what is cut or dark, and what only helps to see where one is. */
  shade: '#DDE4DD',
  faint: '#8B978F',
  pause: '#F2CF8D',
  leave: '#14201B',
  collect: '#1E4B8F',
  onDark: '#EEF1EC',
} as const;

export const font = {
  read: 'AtkinsonHyperlegibleNext_400Regular',
  readBold: 'AtkinsonHyperlegibleNext_600SemiBold',
  word: 'BricolageGrotesque_600SemiBold',
  wordBold: 'BricolageGrotesque_700Bold',
} as const;

export const space = { xs: 4, s: 8, m: 12, l: 18, xl: 28 } as const;
export const corner = 4;
export const stroke = { thin: 1.5, medium: 2, thick: 3 } as const;

/** Smallest side of anything that is tapped. */
export const TARGET = 48;
/** From this width on, panes stand side by side. */
export const WIDE = 900;
