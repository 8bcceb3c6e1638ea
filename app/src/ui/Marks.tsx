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
      <Path d="M5 2 H14 V30 H5 Z M18 2 H27 V30 H18 Z" fill={colour} stroke={colour} strokeWidth={1} strokeLinejoin="round" />
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

/** Collect: an open basket line. */
export function CollectMark({ size, colour }: MarkProps) {
  return (
    <Svg width={size} height={size} viewBox="0 0 32 32" aria-hidden>
      <Path d="M2 9 C4 24 9 29 16 29 C23 29 28 24 30 9" fill="none" stroke={colour} strokeWidth={4.5} strokeLinecap="round" />
      <Path d="M9 17 H23" stroke={colour} strokeWidth={2.5} strokeLinecap="round" />
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
  const line = { stroke: colour, strokeWidth: 1.8, strokeLinecap: 'round', strokeLinejoin: 'round', fill: 'none' } as const;
  const drawn: Record<string, React.ReactNode> = {
    habit: <Path {...line} d="M8 14 V5 M8 9 L4 6 M8 7.5 L12 4.5" />,
    stem: <Path {...line} d="M6 2 V14 M10 2 V14 M6 8 H10" />,
    leaf: <Path {...line} d="M3 13 C2 6 7 2 14 2 C14 9 10 14 3 13 L10 6" />,
    flower: <><Circle cx={8} cy={8} r={2} {...line} /><Path {...line} d="M8 2 V4 M8 12 V14 M2 8 H4 M12 8 H14" /></>,
    fruit: <><Circle cx={8} cy={9.5} r={4.5} {...line} /><Path {...line} d="M8 5 V2" /></>,
    root: <Path {...line} d="M8 2 V14 M8 6 L4 10 M8 8 L12 12" />,
    cap: <Path {...line} d="M2 10 C2 3 14 3 14 10 Z" />,
    hymenophore: <Path {...line} d="M2 4 H14 M4 4 L6 12 M8 4 V12 M12 4 L10 12" />,
    stipe: <Path {...line} d="M6 2 L5 14 H11 L10 2" />,
    flesh: <Path {...line} d="M3 13 L13 3" />,
    spores: <><Circle cx={4} cy={6} r={0.9} fill={colour} /><Circle cx={9} cy={4} r={0.9} fill={colour} /><Circle cx={12} cy={9} r={0.9} fill={colour} /><Circle cx={6} cy={11} r={0.9} fill={colour} /></>,
    smell: <Path {...line} d="M5 3 C8 6 8 10 5 13 M10 3 C13 6 13 10 10 13" />,
    veil: <Path {...line} d="M2 6 C6 10 10 10 14 6 M5 8.5 V12 M11 8.5 V12 M8 9 V13" />,
    place: <Line {...line} x1={2} y1={13} x2={14} y2={13} />,
  };
  return <Svg width={size} height={size} viewBox="0 0 16 16" aria-hidden>{drawn[organ] ?? drawn.flesh}</Svg>;
}

/** The general build of a find, as an ink drawing. */
export function BodyPlanDrawing({ plan, size, colour }: MarkProps & { readonly plan: string }) {
  const line = { stroke: colour, strokeWidth: 2, strokeLinecap: 'round', strokeLinejoin: 'round', fill: 'none' } as const;
  const thin = { ...line, strokeWidth: 1.3 };
  const drawn: Record<string, React.ReactNode> = {
    cantharelloid: <>
      <Path {...line} d="M9 14 C18 8 26 16 34 11 C42 7 50 9 55 14 C47 22 39 28 38 54 H27 C26 28 17 22 9 14 Z" />
      <Path {...thin} d="M17 19 C25 26 29 34 30 48 M25 20 C30 28 32 36 32.5 48 M47 19 C39 26 36 34 35 48 M39 19 C36 26 34.5 32 34 40 M21 22 C24 23 27 26 28.5 30" />
    </>,
    agaricoid: <>
      <Path {...line} d="M7 26 C9 8 55 8 57 26 C50 29 14 29 7 26 Z" />
      <Path {...thin} d="M13 27.5 L27 31 M20 28.2 L28.5 31.5 M27 28.4 L30 32 M37 28.4 L34 32 M44 28.2 L35.5 31.5 M51 27.5 L37 31" />
      <Path {...line} d="M28 31 V56 H36 V31" />
    </>,
    boletoid: <>
      <Path {...line} d="M8 24 C9 6 55 6 56 24 C56 31 8 31 8 24 Z" />
      <Path {...thin} strokeDasharray="0.1 4" d="M12 25 H52 M15 27.6 H49" />
      <Path {...line} d="M26 29.5 C25 38 18 44 20 56 H44 C46 44 39 38 38 29.5" />
    </>,
    hydnoid: <>
      <Path {...line} d="M6 24 C10 9 26 15 33 10 C44 7 56 14 58 24 Z" />
      <Path {...thin} d="M10 24 L11.5 30 L13 24 M15 24 L16.5 31 L18 24 M20 24 L21.5 32 L23 24 M41 24 L42.5 32 L44 24 M46 24 L47.5 31 L49 24 M51 24 L52.5 30 L54 24" />
      <Path {...line} d="M25 25 C27 36 26 46 26 56 H38 C38 46 37 36 39 25" />
    </>,
    herb: <>
      <Path {...line} d="M32 58 V14" />
      <Path {...line} d="M32 46 C22 46 14 40 10 30 C22 30 30 36 32 46 M32 40 C42 40 50 34 54 24 C42 24 34 30 32 40" />
      <Circle cx={32} cy={11} r={4.5} {...line} />
    </>,
    umbellifer: <>
      <Path {...line} d="M32 58 V30 M32 30 L12 15 M32 30 L22 11 M32 30 V9 M32 30 L42 11 M32 30 L52 15" />
      <Path {...thin} d="M7 15 H17 M17.5 10.5 H26.5 M27.5 8 H36.5 M37.5 10.5 H46.5 M47 15 H57" />
      <Path {...line} d="M32 50 L20 44 M20 44 L12 46 M20 44 L15 38 M20 44 L24 37" />
    </>,
    'dwarf-shrub': <>
      <Path {...line} d="M32 58 V44 L20 30 M32 44 L44 30 M32 50 L50 42 M26 37 L14 40 M38 37 L40 22 M20 30 L22 18" />
      <Path {...thin} d="M22 18 C18 14 18 10 22 7 C26 10 26 14 22 18 M40 22 C36 18 36 14 40 11 C44 14 44 18 40 22 M14 40 C9 41 6 39 4 35 C9 33 13 35 14 40 M50 42 C54 39 58 39 61 42 C58 46 54 46 50 42 M44 30 C45 25 49 22 53 23 C53 28 49 31 44 30" />
      <Circle cx={29} cy={26} r={3.2} {...line} />
    </>,
  };
  return <Svg width={size} height={size} viewBox="0 0 64 64" aria-hidden>{drawn[plan]}</Svg>;
}
