/**
 * How the answers to a question are laid out so that all of them are seen at once: in how many columns, with
 * the drawing above the label or beside it, and how large. Text is estimated, not measured, so that a question
 * is laid out before it is drawn; the estimate is on the safe side.
 */

/** Space for the answers, in CSS pixels. */
export interface Room {
  readonly width: number;
  readonly height: number;
}

/** What one answer shows. */
export interface Cell {
  readonly label: string;
  /** For a narrow cell. */
  readonly short?: string | undefined;
  readonly picture: 'drawing' | 'swatch' | 'none';
}

export interface Fit {
  readonly columns: number;
  /** Where the picture is, seen from the label. */
  readonly picture: 'above' | 'beside';
  /** Of the picture, in CSS pixels; 0 where there is none. */
  readonly pictureHeight: number;
  /** Of a row, in CSS pixels. */
  readonly rowHeight: number;
  /** Labels are shortened, where they have a short form. */
  readonly short: boolean;
  /** All of it is seen without scrolling. */
  readonly whole: boolean;
}

export const GAP = 6;
/** Around what is in a cell, its border included. */
export const PADDING = { x: 5, y: 5 } as const;
export const LABEL = { size: 15, line: 18 } as const;
/** Between a picture and its label. */
export const BETWEEN = 3;

/** Of a letter of the bold reading face, on average, in em. */
const LETTER_EM = 0.535;
const MOST_COLUMNS = 4;
const LEAST_ROW = 48;
const MOST_ROW = 148;
/** A drawing that is smaller shows nothing. */
const LEAST_PICTURE = { drawing: 34, swatch: 16, none: 0 } as const;
const MOST_PICTURE = 104;
/** Of a picture: width by height, as answers are drawn. */
export const ASPECT = 1.5;

/** How many lines a text takes in letters so wide; undefined where a word of it is too long. */
function lines(text: string, width: number, letter: number): number | undefined {
  let [count, used] = [1, 0];
  for (const word of text.split(' ')) {
    const wide = word.length * letter;
    if (wide > width) return undefined;
    if (used > 0 && used + letter + wide > width) {
      count += 1;
      used = wide;
    } else used += (used > 0 ? letter : 0) + wide;
  }
  return count;
}

interface Trial extends Pick<Fit, 'columns' | 'picture' | 'short'> {
  readonly cells: readonly Cell[];
  readonly room: Room;
}

/** One way to lay them out; undefined where it does not fit. One cell more is for what is no answer. */
function tried({ cells, columns, picture, short, room }: Trial): Fit | undefined {
  const rows = Math.ceil((cells.length + 1) / columns);
  const rowHeight = Math.min(MOST_ROW, Math.floor((room.height - GAP * (rows - 1)) / rows));
  if (rowHeight < LEAST_ROW) return undefined;
  const inner = (room.width - GAP * (columns - 1)) / columns - 2 * PADDING.x;
  const high = rowHeight - 2 * PADDING.y;
  const kind = cells[0]?.picture ?? 'none';
  const beside = picture === 'beside' ? Math.min(high, MOST_PICTURE, (inner * 0.42) / ASPECT) : 0;
  const labelWidth = beside > 0 ? inner - beside * ASPECT - BETWEEN * 2 : inner;
  let most = 1;
  for (const { label, short: shortened } of cells) {
    const count = lines((short ? shortened : undefined) ?? label, labelWidth, LABEL.size * LETTER_EM);
    if (count === undefined) return undefined;
    most = Math.max(most, count);
  }
  const text = most * LABEL.line;
  if (text > high) return undefined;
  const pictureHeight =
    kind === 'none'
      ? 0
      : beside > 0
        ? beside
        : Math.min(high - text - BETWEEN, MOST_PICTURE, kind === 'swatch' ? 44 : inner / ASPECT);
  if (pictureHeight < LEAST_PICTURE[kind]) return undefined;
  return { columns, picture, short, rowHeight, pictureHeight: Math.floor(pictureHeight), whole: true };
}

/** A drawing so high shows what it is at arm's length: for that labels are shortened. */
const GOOD_PICTURE = 56;

/**
 * The layout in which the pictures, else the labels, are largest. Labels are shortened only where whole ones
 * do not fit, or would leave too little for the drawings.
 */
export function fitAnswers(cells: readonly Cell[], room: Room): Fit {
  const whole = bestOf(cells, room, false);
  const enough = cells[0]?.picture !== 'drawing' || (whole?.pictureHeight ?? 0) >= GOOD_PICTURE;
  if (whole && enough) return whole;
  const short = bestOf(cells, room, true);
  if (short && (!whole || worth(short) > worth(whole))) return short;
  return (
    whole ?? {
      columns: 3,
      picture: 'above',
      pictureHeight: LEAST_PICTURE[cells[0]?.picture ?? 'none'],
      rowHeight: LEAST_ROW,
      short: true,
      whole: false,
    }
  );
}

function bestOf(cells: readonly Cell[], room: Room, short: boolean): Fit | undefined {
  let best: Fit | undefined;
  for (let columns = 1; columns <= MOST_COLUMNS; columns += 1)
    for (const picture of ['above', 'beside'] as const) {
      if (picture === 'beside' && cells[0]?.picture === 'none') continue;
      const fit = tried({ cells, columns, picture, short, room });
      if (fit && (!best || worth(fit) > worth(best))) best = fit;
    }
  return best;
}

const worth = ({ pictureHeight, rowHeight }: Fit) => pictureHeight * 1000 + rowHeight;

/** The heading of a question, in CSS pixels. */
export const HEADING = { size: 20, line: 24 } as const;
/** The bold display face runs narrower than the reading face. */
const HEADING_EM = 0.5;

/** How high a heading gets in so much width, estimated on the safe side. */
export const headingHeight = (text: string, width: number): number =>
  HEADING.line * (lines(text, width, HEADING.size * HEADING_EM) ?? 1);
