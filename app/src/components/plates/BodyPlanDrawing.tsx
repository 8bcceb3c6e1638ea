import Svg, { Circle, Path } from 'react-native-svg';

interface BodyPlanDrawingProps {
  readonly plan: string;
  readonly size: number;
  readonly colour: string;
}

/** The general build of a find, as an ink drawing. */
export function BodyPlanDrawing({ plan, size, colour }: BodyPlanDrawingProps) {
  return (
    <Svg width={size} height={size} viewBox="0 0 64 64" aria-hidden>
      {DRAWN[plan]?.(lines(colour))}
    </Svg>
  );
}

/** Full and thin lines in a colour. */
const lines = (colour: string) => {
  const line = {
    stroke: colour,
    strokeWidth: 2,
    strokeLinecap: 'round',
    strokeLinejoin: 'round',
    fill: 'none',
  } as const;
  return { line, thin: { ...line, strokeWidth: 1.3 } };
};

const DRAWN: Readonly<Record<string, (inks: ReturnType<typeof lines>) => React.ReactNode>> = {
  cantharelloid: ({ line, thin }) => (
    <>
      <Path
        {...line}
        d="M9 14 C18 8 26 16 34 11 C42 7 50 9 55 14 C47 22 39 28 38 54 H27 C26 28 17 22 9 14 Z"
      />
      <Path
        {...thin}
        d="M17 19 C25 26 29 34 30 48 M25 20 C30 28 32 36 32.5 48 M47 19 C39 26 36 34 35 48 M39 19
           C36 26 34.5 32 34 40 M21 22 C24 23 27 26 28.5 30"
      />
    </>
  ),
  agaricoid: ({ line, thin }) => (
    <>
      <Path {...line} d="M7 26 C9 8 55 8 57 26 C50 29 14 29 7 26 Z" />
      <Path
        {...thin}
        d="M13 27.5 L27 31 M20 28.2 L28.5 31.5 M27 28.4 L30 32 M37 28.4 L34 32 M44 28.2 L35.5 31.5 M51 27.5 L37 31"
      />
      <Path {...line} d="M28 31 V56 H36 V31" />
    </>
  ),
  boletoid: ({ line, thin }) => (
    <>
      <Path {...line} d="M8 24 C9 6 55 6 56 24 C56 31 8 31 8 24 Z" />
      <Path {...thin} strokeDasharray="0.1 4" d="M12 25 H52 M15 27.6 H49" />
      <Path {...line} d="M26 29.5 C25 38 18 44 20 56 H44 C46 44 39 38 38 29.5" />
    </>
  ),
  hydnoid: ({ line, thin }) => (
    <>
      <Path {...line} d="M6 24 C10 9 26 15 33 10 C44 7 56 14 58 24 Z" />
      <Path
        {...thin}
        d="M10 24 L11.5 30 L13 24 M15 24 L16.5 31 L18 24 M20 24 L21.5 32 L23 24 M41 24 L42.5 32 L44 24
           M46 24 L47.5 31 L49 24 M51 24 L52.5 30 L54 24"
      />
      <Path {...line} d="M25 25 C27 36 26 46 26 56 H38 C38 46 37 36 39 25" />
    </>
  ),
  herb: ({ line }) => (
    <>
      <Path {...line} d="M32 58 V14" />
      <Path
        {...line}
        d="M32 46 C22 46 14 40 10 30 C22 30 30 36 32 46 M32 40 C42 40 50 34 54 24 C42 24 34 30 32 40"
      />
      <Circle cx={32} cy={11} r={4.5} {...line} />
    </>
  ),
  umbellifer: ({ line, thin }) => (
    <>
      <Path {...line} d="M32 58 V30 M32 30 L12 15 M32 30 L22 11 M32 30 V9 M32 30 L42 11 M32 30 L52 15" />
      <Path {...thin} d="M7 15 H17 M17.5 10.5 H26.5 M27.5 8 H36.5 M37.5 10.5 H46.5 M47 15 H57" />
      <Path {...line} d="M32 50 L20 44 M20 44 L12 46 M20 44 L15 38 M20 44 L24 37" />
    </>
  ),
  'dwarf-shrub': ({ line, thin }) => (
    <>
      <Path
        {...line}
        d="M32 58 V44 L20 30 M32 44 L44 30 M32 50 L50 42 M26 37 L14 40 M38 37 L40 22 M20 30 L22 18"
      />
      <Path
        {...thin}
        d="M22 18 C18 14 18 10 22 7 C26 10 26 14 22 18 M40 22 C36 18 36 14 40 11 C44 14 44 18 40 22
           M14 40 C9 41 6 39 4 35 C9 33 13 35 14 40 M50 42 C54 39 58 39 61 42 C58 46 54 46 50 42 M44 30
           C45 25 49 22 53 23 C53 28 49 31 44 30"
      />
      <Circle cx={29} cy={26} r={3.2} {...line} />
    </>
  ),
  pleurotoid: ({ line, thin }) => (
    <>
      <Path {...line} d="M10 6 V58" />
      <Path {...line} d="M10 26 C22 10 50 8 58 24 C52 32 30 34 10 40" />
      <Path {...thin} d="M16 37 L52 27 M15 35 L38 24 M24 35 L56 26 M13 31 L24 24" />
      <Path {...line} d="M10 48 C20 40 34 42 38 49 C32 54 20 54 10 56" />
    </>
  ),
  gasteroid: ({ line, thin }) => (
    <>
      <Path {...line} d="M22 50 C8 42 8 12 32 12 C56 12 56 42 42 50 L40 57 H24 Z" />
      <Path {...thin} strokeDasharray="0.1 4.5" d="M18 24 H46 M15 31 H49 M17 38 H47 M24 18 H40" />
    </>
  ),
  morchelloid: ({ line, thin }) => (
    <>
      <Path {...line} d="M20 36 C14 22 22 6 32 6 C42 6 50 22 44 36 Z" />
      <Path
        {...thin}
        d="M26 12 L30 18 L26 24 L21 19 M30 18 L38 16 L42 22 L36 26 L30 23 L26 24 L27 31 L21 32 M36 26
           L37 33 L43 31 M27 31 L32 34 L37 33 M38 16 L36 10"
      />
      <Path {...line} d="M24 36 L23 57 H41 L40 36" />
    </>
  ),
  helvelloid: ({ line, thin }) => (
    <>
      <Path
        {...line}
        d="M9 28 C5 16 17 8 25 13 C30 5 42 7 43 13 C53 9 60 19 55 28 C56 36 46 40 40 35
           C34 40 28 40 24 35 C16 40 8 36 9 28 Z"
      />
      <Path
        {...thin}
        d="M16 26 C16 19 24 18 25 24 C26 29 33 28 32 21 M38 18 C44 18 44 26 38 27 M46 24
           C50 22 51 29 47 31 M18 32 C22 30 26 32 27 35"
      />
      <Path {...line} d="M25 37 L22 57 H42 L39 37" />
    </>
  ),
  cupulate: ({ line, thin }) => (
    <>
      <Path
        {...line}
        d="M8 26 C10 20 16 22 19 18 C23 23 28 17 32 21 C36 17 41 23 45 18 C48 22 54 20 56 26 C55 44 46 54 32 55
           C18 54 9 44 8 26 Z"
      />
      <Path {...thin} d="M11 27 C18 35 46 35 53 27 M20 42 L23 47 M32 44 V49 M44 42 L41 47" />
    </>
  ),
  coprinoid: ({ line, thin }) => (
    <>
      <Path {...line} d="M20 44 C17 26 22 6 32 6 C42 6 47 26 44 44 L40 42 L36 45 L32 42 L28 45 L24 42 Z" />
      <Path
        {...thin}
        d="M24 20 L28 24 M32 16 L36 20 M38 24 L42 28 M23 30 L27 34 M31 28 L35 32 M37 36 L41 39"
      />
      <Path {...line} d="M29 45 V58 H35 V45" />
    </>
  ),
  lily: ({ line, thin }) => (
    <>
      <Path {...line} d="M30 58 C26 46 14 34 14 14 C24 22 32 36 32 58" />
      <Path {...line} d="M34 58 C34 40 40 22 52 10 C54 30 44 46 37 58" />
      <Path
        {...thin}
        d="M18 22 C20 34 26 46 30 54 M22 26 C25 36 29 46 31 54 M48 20 C44 32 39 46 36 54 M44 26 C41 34 38 44 35.5 52"
      />
    </>
  ),
  composite: ({ line }) => (
    <>
      <Circle cx={32} cy={20} r={6} {...line} />
      <Path
        {...line}
        d="M32 8 V14 M32 26 V31 M20 20 H26 M38 20 H44 M23.5 11.5 L27.5 15.5 M36.5 24.5 L40.5 28.5
           M40.5 11.5 L36.5 15.5 M23.5 28.5 L27.5 24.5"
      />
      <Path {...line} d="M32 31 V58 M32 50 L20 42 M24 45 L22 38 M32 54 L45 44 M40 48 L44 50" />
    </>
  ),
  shrub: ({ line, thin }) => (
    <>
      <Path {...line} d="M32 58 V40 M32 46 L22 36 M32 44 L42 34" />
      <Path
        {...line}
        d="M16 38 C6 36 6 24 15 22 C15 10 30 6 35 13 C46 8 56 16 52 25 C60 29 57 39 48 39 C42 43 22 43 16 38 Z"
      />
      <Path {...thin} d="M24 22 C27 19 31 20 32 24 M40 24 C43 21 47 23 47 27 M22 31 C25 29 28 30 29 33" />
    </>
  ),
  conifer: ({ line, thin }) => (
    <>
      <Path {...line} d="M32 58 V8" />
      <Path
        {...line}
        d="M32 14 L25 20 M32 14 L39 20 M32 22 L21 30 M32 22 L43 30 M32 31 L17 41 M32 31 L47 41 M32 41
           L15 52 M32 41 L49 52"
      />
      <Path
        {...thin}
        d="M27 25.5 L24 22 M37 25.5 L40 22 M25 35.5 L21 32 M39 35.5 L43 32 M24 46 L20 42 M40 46 L44 42"
      />
    </>
  ),
};
