import Svg, { Circle, Line, Path } from 'react-native-svg';
import type { Verdict } from '@pause/core';

type Outcome = Verdict['outcome'];
interface MarkProps {
  readonly size: number;
  readonly colour: string;
}

/** Pause: two uprights. Also the mark of the product. */
export function PauseMark({ size, colour }: MarkProps) {
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Path
        d="M5 2 H14 V30 H5 Z M18 2 H27 V30 H18 Z"
        fill={colour}
        stroke={colour}
        strokeWidth={1}
        strokeLinejoin="round"
      />
    </Svg>
  );
}

/** Leave: one level bar. */
export function LeaveMark({ size, colour }: MarkProps) {
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Path d="M2 11.5 H30 V20.5 H2 Z" fill={colour} stroke={colour} strokeWidth={1} strokeLinejoin="round" />
    </Svg>
  );
}

/** Collect: a basket with a handle. */
export function CollectMark({ size, colour }: MarkProps) {
  const line = { fill: 'none', stroke: colour, strokeLinecap: 'round', strokeLinejoin: 'round' } as const;
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Path {...line} strokeWidth={2.6} d="M6 15 C6 -1.5 26 -1.5 26 15" />
      <Path {...line} strokeWidth={4} d="M3 15 H29" />
      <Path {...line} strokeWidth={2.6} d="M4.5 15 L8 29 H24 L27.5 15" />
      <Path
        {...line}
        strokeWidth={2}
        d="M6.5 22 H25.5 M10.5 16 L11.5 22 M16 16 V22 M21.5 16 L20.5 22 M13.5 22 L14 28 M18.5 22 L18 28"
      />
    </Svg>
  );
}

export function OutcomeMark({ outcome, ...props }: MarkProps & { readonly outcome: Outcome }) {
  if (outcome === 'leave') return <LeaveMark {...props} />;
  if (outcome === 'collect') return <CollectMark {...props} />;
  return <PauseMark {...props} />;
}

/** Where a ground was seen, small enough to stand inside a bar. */
export function OrganGlyph({ organ, size, colour }: MarkProps & { readonly organ: string }) {
  const line = {
    stroke: colour,
    strokeWidth: 1.8,
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
    fill: 'none',
  } as const;
  const drawn: Record<string, React.ReactNode> = {
    habit: <Path {...line} d="M8 14 V5 M8 9 L4 6 M8 7.5 L12 4.5" />,
    stem: <Path {...line} d="M6 2 V14 M10 2 V14 M6 8 H10" />,
    leaf: <Path {...line} d="M3 13 C2 6 7 2 14 2 C14 9 10 14 3 13 L10 6" />,
    flower: (
      <>
        <Circle cx={8} cy={8} r={2} {...line} />
        <Path {...line} d="M8 2 V4 M8 12 V14 M2 8 H4 M12 8 H14" />
      </>
    ),
    fruit: (
      <>
        <Circle cx={8} cy={9.5} r={4.5} {...line} />
        <Path {...line} d="M8 5 V2" />
      </>
    ),
    root: <Path {...line} d="M8 2 V14 M8 6 L4 10 M8 8 L12 12" />,
    cap: <Path {...line} d="M2 10 C2 3 14 3 14 10 Z" />,
    hymenophore: <Path {...line} d="M2 4 H14 M4 4 L6 12 M8 4 V12 M12 4 L10 12" />,
    stipe: <Path {...line} d="M6 2 L5 14 H11 L10 2" />,
    flesh: <Path {...line} d="M3 13 L13 3" />,
    spores: (
      <>
        <Circle cx={4} cy={6} r={0.9} fill={colour} />
        <Circle cx={9} cy={4} r={0.9} fill={colour} />
        <Circle cx={12} cy={9} r={0.9} fill={colour} />
        <Circle cx={6} cy={11} r={0.9} fill={colour} />
      </>
    ),
    smell: <Path {...line} d="M5 3 C8 6 8 10 5 13 M10 3 C13 6 13 10 10 13" />,
    veil: <Path {...line} d="M2 6 C6 10 10 10 14 6 M5 8.5 V12 M11 8.5 V12 M8 9 V13" />,
    place: <Line {...line} x1={2} y1={13} x2={14} y2={13} />,
  };
  return (
    <Svg width={size} height={size} viewBox="0 0 16 16" aria-hidden>
      {drawn[organ] ?? drawn.flesh}
    </Svg>
  );
}
