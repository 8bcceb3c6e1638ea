import { Fragment } from 'react';
import { Circle, Text } from 'react-native-svg';
import { colour, font } from '..';

/** A number that points at a part; filled where the part has been read. */
export interface Badge {
  readonly number: number;
  readonly at: readonly [x: number, y: number];
  readonly filled: boolean;
}
/** Half the width of a number, on the screen. */
export const BADGE = 11;

/** @param px units of the sheet for a pixel of the screen */
export function Badges({ badges, px }: { readonly badges: readonly Badge[]; readonly px: number }) {
  return badges.map(({ number, at: [x, y], filled }) => (
    <Fragment key={number}>
      <Circle
        cx={x}
        cy={y}
        r={(BADGE - 1) * px}
        fill={filled ? colour.collect : colour.card}
        stroke={colour.collect}
        strokeWidth={2 * px}
      />
      <Text
        transform={`translate(${x} ${y + 5 * px})`}
        textAnchor="middle"
        fontFamily={font.readBold}
        fontSize={14 * px}
        fill={filled ? colour.onDark : colour.collect}
      >
        {number}
      </Text>
    </Fragment>
  ));
}
