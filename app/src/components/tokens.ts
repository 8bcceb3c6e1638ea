import { Platform } from 'react-native';

/** The few values that the look is made of. */

/** By day. */
const DAY = {
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
  /** On ink, on leave and on collect. */
  onDark: '#EEF1EC',
  /** The column of rooms on a wide screen, what is written in it, and its mark. */
  rooms: '#14201B',
  onRooms: '#EEF1EC',
  mark: '#F2CF8D',
} as const;

type Colours = Readonly<Record<keyof typeof DAY, string>>;

/** At dusk: nothing bright and large, so that eyes stay used to the dark. */
const DIM: Colours = {
  ground: '#121714',
  card: '#1C2420',
  ink: '#E6ECE4',
  inkSoft: '#B3BFB6',
  line: '#3A4640',
  shade: '#33403A',
  faint: '#7C8A81',
  pause: '#4F3B15',
  leave: '#D3DBD2',
  collect: '#9CC0F2',
  onDark: '#121714',
  rooms: '#0B0F0D',
  onRooms: '#E6ECE4',
  mark: '#C99A45',
};

const variable = (name: string) => `--pause-${name}`;
const named = Object.keys(DAY) as (keyof Colours)[];

/**
 * In a browser colours are variables of the page, so that day and dusk change without drawing anything anew.
 */
export const colour: Colours =
  Platform.OS === 'web'
    ? (Object.fromEntries(named.map((name) => [name, `var(${variable(name)})`])) as unknown as Colours)
    : DAY;

/** How much of a wash is left of its colour: at dusk it is mixed into the dark of the page. */
const WASH = { name: '--pause-wash', day: '100%', dim: '45%' } as const;

/** The wash of a drawing, so that ink stays readable over it by day and at dusk. */
export const washed = (hex: string): string =>
  Platform.OS === 'web' ? `color-mix(in srgb, ${hex} var(${WASH.name}), ${colour.card})` : hex;

export type Theme = 'day' | 'dim';
export interface Look {
  readonly theme: Theme;
  /** How much larger than usual everything that is read is: 1 to 2. */
  readonly text: number;
}

/** Makes the page look so. */
export function applyLook({ theme, text }: Look, page: HTMLElement): void {
  const colours = theme === 'dim' ? DIM : DAY;
  for (const name of named) page.style.setProperty(variable(name), colours[name]);
  page.style.setProperty(WASH.name, WASH[theme]);
  page.style.setProperty(TEXT, String(text));
  page.style.setProperty('color-scheme', theme === 'dim' ? 'dark' : 'light');
}
const TEXT = '--pause-text';

/**
 * A size of type, or of a line of it, that grows with what the person has set; at most so many times, where
 * it is large anyway and always in view.
 */
export function typeSize(pixels: number, most = 2): number {
  return Platform.OS === 'web'
    ? (`calc(${pixels}px * min(var(${TEXT}, 1), ${most}))` as unknown as number)
    : pixels;
}

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
/** A tablet held upright: room for two panes. */
export const TABLET = 700;
