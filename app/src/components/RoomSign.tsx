import Svg, { Path } from 'react-native-svg';

/** The rooms of the application. */
export type RoomName = 'start' | 'week' | 'new' | 'finds' | 'pantry' | 'practice' | 'guide' | 'eaten';

/** The lines of each sign, on 24 by 24 units. */
const DRAWN: Readonly<Record<RoomName, readonly string[]>> = {
  // Two uprights, as in the mark of the product.
  start: ['M5 4 H9.5 V20 H5 Z', 'M14.5 4 H19 V20 H14.5 Z'],
  // What is up along a line of days.
  week: [
    'M2.5 20 H21.5',
    'M6 20 V14',
    'M6 14 C3.5 14 3 12 3 10.5 C5 10.5 6 12 6 14',
    'M12 20 V7',
    'M12 9.5 C9 9.5 8.4 7 8.4 5 C11 5 12 7 12 9.5',
    'M12 12 C15 12 15.6 9.5 15.6 7.5 C13 7.5 12 9.5 12 12',
    'M18.5 20 V16',
    'M18.5 16 C21 16 21.4 14 21.4 12.5 C19.4 12.5 18.5 14 18.5 16',
  ],
  // A sprig under a lens.
  new: [
    'M10 17 A7 7 0 1 1 10 3 A7 7 0 1 1 10 17',
    'M15 15 L21 21',
    'M10 13.5 V9',
    'M10 10.5 C8 10.5 7.4 8.8 7.4 7.2 C9.2 7.2 10 8.6 10 10.5',
    'M10 9 C12 9 12.6 7.6 12.6 6.2 C10.9 6.2 10 7.4 10 9',
  ],
  // A basket with its handle.
  finds: [
    'M4 11 H20',
    'M5 11 L7 21 H17 L19 11',
    'M6.5 11 C6.5 1.5 17.5 1.5 17.5 11',
    'M6.2 16 H17.8',
    'M10 11 L10.6 16',
    'M14 11 L13.4 16',
  ],
  // A jar with its label.
  pantry: [
    'M7.5 3 H16.5 V6 H7.5 Z',
    'M8 6 C6 7.5 6 8.5 6 10 V19 C6 20.5 7 21 8 21 H16 C17 21 18 20.5 18 19 V10 C18 8.5 18 7.5 16 6',
    'M6 12 H18',
    'M6 17 H18',
  ],
  // A tree and a smaller one.
  practice: [
    'M9 21 V14',
    'M9 14 C3 14 3 9 5.5 8 C5 4.5 8 2.5 10.5 4 C14 3.5 15 7 13.5 9 C15 11.5 13 14 9 14',
    'M18 21 V12 L14.8 17 H21.2 L18 12',
    'M2.5 21 H21.5',
  ],
  // An open book with a leaf on its page.
  guide: [
    'M12 6 C9.5 4 6 4 3 4.5 V19.5 C6 19 9.5 19 12 21 C14.5 19 18 19 21 19.5 V4.5 C18 4 14.5 4 12 6 V21',
    'M15 15 C14.5 11.5 16 9.5 18.5 9.5 C18.5 12.5 17.5 14.5 15 15',
  ],
  // A cross: help.
  eaten: ['M9 3 H15 V9 H21 V15 H15 V21 H9 V15 H3 V9 H9 Z'],
};

/** The drawn sign of a room; its name is beside it. */
export function RoomSign({ room, colour }: { readonly room: RoomName; readonly colour: string }) {
  return (
    <Svg width={22} height={22} viewBox="0 0 24 24" aria-hidden>
      <Path
        d={DRAWN[room].join('')}
        fill="none"
        stroke={colour}
        strokeWidth={1.7}
        strokeLinecap="round"
        strokeLinejoin="round"
      />
    </Svg>
  );
}
