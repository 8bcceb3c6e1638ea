import { create } from 'qrcode';
import Svg, { Path, Rect } from 'react-native-svg';

const QUIET = 4;

/** A square (QR) that holds a text. Always dark on light: that is what cameras look for. */
export function Square({
  text,
  size,
  label,
}: {
  readonly text: string;
  readonly size: number;
  readonly label: string;
}) {
  const { modules } = create(text, { errorCorrectionLevel: 'M' });
  const side = modules.size + 2 * QUIET;
  const path = Array.from({ length: modules.size * modules.size }, (_, at) => at)
    .filter((at) => modules.data[at])
    .map((at) => `M${(at % modules.size) + QUIET} ${Math.floor(at / modules.size) + QUIET}h1v1h-1z`)
    .join('');
  return (
    <Svg width={size} height={size} viewBox={`0 0 ${side} ${side}`} role="img" aria-label={label}>
      <Rect width={side} height={side} fill="#FFFFFF" />
      <Path d={path} fill="#14201B" />
    </Svg>
  );
}
